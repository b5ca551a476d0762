/** How many pixels the text of the page is high: 16, or what the browser is set to. */
export const rem = (): number => parseFloat(getComputedStyle(document.documentElement).fontSize) || 16;
