/** What the server wrote into the page. */
export const saidByServer = () => document.querySelector<HTMLMetaElement>('meta[name="paste-bench-start"]')

/** What a style of the page's own has to bear; empty where nothing is asked. */
export const styleNonce = (): string => saidByServer()?.nonce ?? ''
