import { AskedPools } from './askedPools';
import { Card } from '../deck/card';
import { ROOM } from './packets';
import { CARD, isMark } from './pools';
import { FACE_UP, flagsOf, runOf, UPSIDE } from './run';

/** What was mixed: so many cards of a packet from an index on, as they lay before and behind it. */
interface Noted {
  readonly before: Uint8Array;
  readonly after: Uint8Array;
  readonly from: number;
  readonly count: number;
}

/** How packets come into any order, and how one order is chosen for them. */
export class Mixing extends AskedPools {
  /** How many mixes were done. */
  mixes = 0;

  /** What each mix did, where somebody wants to know. */
  readonly noted: Noted[] | undefined;

  /** By mix: at which index before it the cards lay that come to lie on top, in their order. */
  pins: readonly (readonly number[])[] = [];

  /** Whether mixes beyond those pinned leave the cards as they lie. */
  isLeft = false;

  /**
   * @param start the packets in the order of their indices, top card first, face down.
   * @param pools how many there may be at once, from 0: where there are none, nothing is mixed so.
   * @param notes whether to note what lies where before and behind each mix.
   */
  constructor(start: readonly (readonly Card[])[], pools: number, notes = false) {
    super(start, pools);
    this.noted = notes ? [] : undefined;
  }

  /**
   * The cards between `above` and `below` come into any order.
   *
   * @returns false where something must be found out first.
   */
  mix(packet: number, times: number, above: number, below: number): boolean {
    const { noted, mixes } = this;
    const before = noted && this.cardsOf(packet);
    const pinned = this.pins.at(mixes) ?? [];
    if (times > 0) {
      if (!this.isLeft && this.freePool() === undefined) return this.askAny();
      this.pin(packet, above, pinned);
      if (!this.isLeft) this.openUp(packet, above + pinned.length, below);
    }
    this.mixes++;
    if (noted && before) {
      const count = times > 0 ? before.length - above - below : 0;
      noted[mixes] = { before, after: this.cardsOf(packet), from: above, count };
    }
    return true;
  }

  /** Lays these cards, by their index below `above`, on top of the others there. */
  private pin(packet: number, above: number, pinned: readonly number[]): void {
    if (pinned.length === 0) return;
    const size = this.sizes[packet];
    const others = Array.from({ length: size - above }, (_, index) => index).filter(
      (index) => !pinned.includes(index),
    );
    const order = [...pinned, ...others];
    this.arrange(packet, (index) => (index < above ? index : above + order[index - above]));
  }

  private openUp(packet: number, above: number, below: number): void {
    const { sizes } = this;
    const count = sizes[packet] - above - below;
    const hidden = this.freePool();
    if (count < 2 || hidden === undefined) return;
    const aside = this.real + this.pools;
    this.tidy(packet);
    if (above > 0) this.lift(packet, above, aside, false);
    const wasOpen = this.isOpen;
    if (below === 0) this.putOn(packet, hidden);
    else this.lift(packet, count, hidden, false);
    if (wasOpen) this.flatten(hidden);
    if (wasOpen && this.isOneMark(hidden)) this.putOn(hidden, packet);
    else {
      this.push(packet, runOf(this.marks + hidden - this.real, count, 0, this.evenOut(hidden)));
      sizes[packet] += count;
    }
    if (above > 0) this.putOn(aside, packet);
  }

  /** Cards that all lie face up are held face down, their marks being face up; gives the flags of the marks. */
  private evenOut(hidden: number): number {
    const { runs, counts } = this;
    const [from, to] = [hidden * ROOM, hidden * ROOM + counts[hidden]];
    const flags = flagsOf(runs[from]);
    let isEven = flags === 0 || flags === UPSIDE;
    for (let run = from + 1; run < to; run++) isEven &&= flagsOf(runs[run]) === flags;
    if (!isEven) {
      this.hasSides = true;
      return 0;
    }
    if (flags === UPSIDE) for (let run = from; run < to; run++) runs[run] ^= UPSIDE;
    return flags;
  }

  /** Where all marks of a pool have come into another, alike, its cards are held there themselves. */
  private flatten(hidden: number): void {
    const pool = this.markOfPool(hidden);
    for (const mark of this.allMarks) {
      const held = this.heldBy(mark);
      // A token stays itself.
      if (held < 2 || mark === pool) continue;
      const all = this.held(pool);
      const marks = all.filter((each) => (each & CARD) === mark);
      if (marks.length !== held || marks.some((each) => each !== marks[0])) continue;
      const side = marks[0] & FACE_UP;
      this.layIn(pool, [
        ...all.filter((each) => (each & CARD) !== mark),
        ...this.held(mark).map((each) => each ^ side),
      ]);
      this.layIn(mark, []);
    }
  }

  /** Whether it holds marks of one pool alone, all alike: mixing them changes nothing. */
  private isOneMark(hidden: number): boolean {
    const all = this.held(this.markOfPool(hidden));
    return isMark(all[0] & CARD) && all.every((each) => each === all[0]);
  }
}
