import { answerRequest, type Request } from './protocol'

self.onmessage = (event: MessageEvent<Request>) =>
  void answerRequest(event.data, (response) => self.postMessage(response))
