/** Has the browser's media queries answer as on a phone, until the test is over. Call it before the first render. */
export const onPhone = (): void => {
  const original = window.matchMedia as typeof window.matchMedia | undefined;
  const query = (media: string): MediaQueryList =>
    ({
      media,
      matches: media.includes('max-width'),
      addListener: () => undefined,
      removeListener: () => undefined,
    }) as unknown as MediaQueryList;
  Object.defineProperty(window, 'matchMedia', { configurable: true, value: query });
  restore = () => Object.defineProperty(window, 'matchMedia', { configurable: true, value: original });
};

let restore: (() => void) | undefined;

afterEach(() => {
  restore?.();
  restore = undefined;
});
