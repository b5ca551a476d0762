const NUMBERS = [
  ...['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten'],
  ...['Eleven', 'Twelve'],
] as const;

/** `Six moves`, with the number in words up to twelve. */
export const counted = (count: number, one: string, many: string): string =>
  `${NUMBERS[count] ?? count.toString()} ${count === 1 ? one : many}`;

/** How long a search took: `40 ms`, `1.2 s`. */
export const tookWords = (ms: number): string =>
  ms < 950 ? `${Math.round(ms).toString()} ms` : `${(ms / 1000).toFixed(1)} s`;
