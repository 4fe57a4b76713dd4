/** What a style sheet has to name so that this document takes it. A page that is fetched later comes with another. */
export const nonceHere = (): string | undefined =>
  document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce;
