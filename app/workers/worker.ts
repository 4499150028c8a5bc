import { answerRequest, type Request } from './protocol'

self.onmessage = (event: MessageEvent<Request>) => answerRequest(event.data, (response) => self.postMessage(response))
