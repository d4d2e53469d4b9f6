/** Which build of the application runs here: the address of its script, which names its contents. */
export const programNow = (): string =>
  typeof document === 'undefined'
    ? ''
    : (document.querySelector('script[src*="/entry-"]')?.getAttribute('src') ?? 'development')
