import { formatCard } from '@enumeron/core/deck';
import { Answer } from '@enumeron/core/learn';
import { Clock } from '../app/platform/clock';

/** A clock that goes only when it is told to. */
export class FakeClock extends Clock {
  at = Date.UTC(2026, 10, 25, 12);
  page = 1000;

  override now(): number {
    return this.at;
  }
  override offset(): number {
    return 0;
  }
  override painted(): Promise<number> {
    return Promise.resolve(this.page);
  }
  /** What was waited for, in milliseconds. */
  readonly waited: number[] = [];
  override wait(ms: number): Promise<void> {
    this.waited.push(ms);
    return new Promise((resolve) => setTimeout(resolve));
  }
  override pageNow(): number {
    return this.page;
  }
  override of(): number {
    return this.page;
  }
  /** So many milliseconds go by. */
  pass(ms: number): void {
    this.at += ms;
    this.page += ms;
  }
}

/** A key pressed on the page. */
export const press = (key: string): KeyboardEvent => {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true });
  document.body.dispatchEvent(event);
  return event;
};

/** The keys that answer with this; a number of one digit may want Enter, a row of weaves always does. */
export const keysOf = (said: Answer): string[] => {
  switch (said.kind) {
    case 'number':
      return [...said.number.toString()];
    case 'off':
      return [...said.off.toString()];
    case 'weaves':
      return said.weaves.map((weave) => weave.charAt(0));
    case 'cards':
      return said.cards.flatMap((card) => [...formatCard(card).toLowerCase()]);
  }
};
