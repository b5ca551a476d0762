export const MOST_OFFERED = 12;

/** What a text may go on to be, noted where it was looked for. */
export class Offers {
  readonly all = new Set<string>();

  constructor(private readonly text: string) {}

  note(at: number, words: string): void {
    const begun = this.text.slice(at);
    // What goes on stands apart from what was written.
    if (begun === '' && /[^\s(]$/.test(this.text)) return;
    if (words.length > begun.length && words.toLowerCase().startsWith(begun.toLowerCase()))
      this.all.add(this.text.slice(0, at) + words);
  }
}
