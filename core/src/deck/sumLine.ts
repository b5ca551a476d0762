/** One line of a sum done in the head: an amount that is added, or a result that has been reached. */
export interface SumLine {
  readonly amount: number;
  readonly role: 'start' | 'add' | 'result';
  readonly words: string;
}

export const start = (amount: number, words: string): SumLine => ({ amount, role: 'start', words });
/** A number that is added; below 0 it is taken away. */
export const add = (amount: number, words: string): SumLine => ({ amount, role: 'add', words });
/** What has been reached. */
export const result = (amount: number, words: string): SumLine => ({ amount, role: 'result', words });
