import { Card, mateOf } from '../deck/card';
import { NONE } from './form';
import { INDIFFERENT, MOST_CARDS, ROOM } from './packets';
import { FACE_UP, flagsOf, runOf, UPSIDE } from './run';
import { Table } from './table';

/** The cards from here on up to the indifferent one stand for a card of a pool. */
const FIRST_MARK = 108;
/** How many pools there may be at once. */
export const MOST_POOLS = INDIFFERENT - FIRST_MARK;

const CARD = FACE_UP - 1;
const isMark = (card: Card): boolean => card >= FIRST_MARK && card < INDIFFERENT;

/** A card that may lie at a place from 1, with the side that it shows there, and how many ways lead to it. */
export interface Possible {
  readonly packet: number;
  readonly place: number;
  readonly card: number;
  readonly ways: number;
}

/** What was mixed: so many cards of a packet from an index on, as they lay before and behind it. */
interface Noted {
  readonly before: Uint8Array;
  readonly after: Uint8Array;
  readonly from: number;
  readonly count: number;
}

const THROUGH = new Uint8Array(MOST_CARDS);
const WITHIN = new Uint8Array(MOST_CARDS);

/**
 * A table on which packets are mixed and stay so: cards of which nobody has seen where they lie. A *pool* holds them, a
 * packet behind those that people see; at their places lies its mark, and every order of them is as likely. Only what
 * is looked at is found out, card by card: until then cards are lifted, counted and mixed again as if they were alike.
 * A pool may hold marks of another.
 *
 * Where a reading must know more it gives NONE, and `isAsked` says so: `possible` lists what may lie there.
 */
export class MixedTable extends Table {
  /** How many mixes were done. */
  mixes = 0;
  /** Below this the row is never laid anew. */
  readonly base: number;
  /** What each mix did, where somebody wants to know. */
  readonly noted: Noted[] | undefined;
  /** By mix: at which index before it the cards lay that come to lie on top, in their order. */
  pins: readonly (readonly number[])[] = [];
  /** Whether mixes beyond those pinned leave the cards as they lie. */
  isLeft = false;

  /** How many packets people see; those behind them are the pools'. */
  readonly real: number;
  private readonly pools: number;
  /** Where the marks of pools lie in the row. */
  private readonly marks: number;
  /** Whether cards of both sides were ever mixed together. */
  private hasSides = false;
  private asked: { readonly packet: number; readonly place: number; readonly card: Card } | undefined;

  /**
   * @param start the packets in the order of their indices, top card first, face down.
   * @param pools how many there may be at once, from 0: where there are none, nothing is mixed so.
   * @param notes whether to note what lies where before and behind each mix.
   */
  constructor(start: readonly (readonly Card[])[], pools: number, notes = false) {
    // One more, where cards are laid aside.
    super([...start, ...Array.from({ length: pools > 0 ? pools + 1 : 0 }, () => [])]);
    this.real = start.length;
    this.pools = pools;
    this.marks = this.free;
    for (let pool = 0; pool < pools; pool++) this.row[this.free++] = FIRST_MARK + pool;
    this.base = this.free;
    this.noted = notes ? [] : undefined;
  }

  /** Whether mixed cards stay open here, and are not shuffled by chance. */
  get keepsOpen(): boolean {
    return this.pools > 0;
  }

  get isAsked(): boolean {
    return this.asked !== undefined;
  }

  private ask(packet: number, place: number, card: Card = NONE): number {
    this.asked = { packet, place, card };
    return NONE;
  }

  /** The card at a place (1 to size), or NONE where it must be found out first. */
  look(packet: number, place: number): Card {
    const card = this.cardAt(packet, place);
    return isMark(card) ? this.ask(packet, place) : card;
  }

  /** The top card of a packet that has one, or NONE where it must be found out first. */
  lookTop(packet: number): Card {
    const card = this.top(packet);
    return isMark(card) ? this.ask(packet, 1) : card;
  }

  /** 1 or 0: whether the card at a place (1 to size) lies face up; or NONE where it must be found out first. */
  faceUpAt(packet: number, place: number): number {
    if (this.hasSides && this.isOfSides(this.cardAt(packet, place))) return this.ask(packet, place);
    return this.isFaceUp(packet, place) ? 1 : 0;
  }

  override faceUpIn(packet: number): number {
    if (!this.hasSides) return super.faceUpIn(packet);
    const size = this.write(packet, THROUGH, 0);
    let count = 0;
    for (let at = 0; at < size; at++) {
      count += THROUGH[at] >> 7;
      if (this.isOfSides(THROUGH[at] & CARD)) return this.ask(packet, at + 1);
    }
    return count;
  }

  override placeOf(packet: number, card: Card, from = 1): number {
    if (!this.isOpen) return super.placeOf(packet, card, from);
    const size = this.write(packet, THROUGH, 0);
    const wanted = [card];
    for (let at = from - 1; at < size; at++) {
      const there = THROUGH[at] & CARD;
      if (there === card) return at + 1;
      if (isMark(there) && this.may(there, wanted)) return this.ask(packet, at + 1, card);
    }
    return 0;
  }

  /** How many cards of a packet are one of these, or NONE where it must be found out first. */
  howMany(packet: number, these: readonly Card[]): number {
    const size = this.write(packet, THROUGH, 0);
    let count = 0;
    for (let at = 0; at < size; at++) {
      const card = THROUGH[at] & CARD;
      if (!isMark(card)) count += these.includes(card) ? 1 : 0;
      else if (this.may(card, these) && !this.isCounted(packet, card, these)) {
        if (!this.must(card, these)) return this.ask(packet, at + 1);
        count++;
      }
    }
    for (let mark = FIRST_MARK; mark < FIRST_MARK + this.pools; mark++)
      if (this.isCounted(packet, mark, these))
        count += this.held(mark).filter((card) => these.includes(card & CARD)).length;
    return count;
  }

  /** Whether all that a pool holds lies in a packet, and of what its marks stand for all that may be one of these. */
  private isCounted(packet: number, mark: number, these: readonly Card[]): boolean {
    return (
      this.isWhole(packet, mark) &&
      this.held(mark).every((each) => {
        const card = each & CARD;
        return !isMark(card) || !this.may(card, these) || this.isCounted(packet, card, these);
      })
    );
  }

  /** The first of these cards that a packet lacks; NONE where it has all, or it must be found out first. */
  firstMissing(packet: number, these: readonly Card[]): Card {
    for (const card of these) {
      if (super.placeOf(packet, card) > 0) continue;
      if (!this.isOpen) return card;
      const size = this.write(packet, THROUGH, 0);
      const at = THROUGH.subarray(0, size).findIndex((each) => {
        const there = each & CARD;
        return isMark(there) && this.may(there, [card]);
      });
      if (at < 0) return card;
      if (!this.isHeldWhole(packet, card)) return this.ask(packet, at + 1, card);
    }
    return NONE;
  }

  /**
   * The first card on the way to the face or the top, one of these where they are told.
   *
   * @param place where the way begins, behind the card that lies there; 0: at the other end.
   * @returns NONE where there is none, or it must be found out first.
   */
  firstMet(packet: number, place: number, towards: 'face' | 'top', these?: readonly Card[]): Card {
    const size = this.write(packet, THROUGH, 0);
    const step = towards === 'face' ? 1 : -1;
    const begin = place > 0 ? place - 1 + step : step > 0 ? 0 : size - 1;
    for (let at = begin; at >= 0 && at < size; at += step) {
      const card = THROUGH[at] & CARD;
      if (isMark(card)) {
        if (!these || this.may(card, these)) return this.ask(packet, at + 1);
      } else if (!these || these.includes(card)) return card;
    }
    return NONE;
  }

  /** The place of the first card right above its mate; 0 where there is none, NONE where it must be found out first. */
  matesTogether(packet: number): number {
    const size = this.write(packet, THROUGH, 0);
    for (let at = 0; at + 1 < size; at++) {
      const [card, next] = [THROUGH[at] & CARD, THROUGH[at + 1] & CARD];
      if (isMark(card)) return this.ask(packet, at + 1);
      if (card === INDIFFERENT) continue;
      const mate = mateOf(card);
      if (next === mate) return at + 1;
      if (isMark(next) && this.may(next, [mate])) return this.ask(packet, at + 2);
    }
    return 0;
  }

  /**
   * A card, looked for through the faces, goes onto another packet: the first from the top.
   *
   * @returns false where it is not there, or it must be found out first whether and where it is.
   */
  takeCard(from: number, card: Card, onto: number): boolean {
    const alike = this.isOpen ? this.anyPlaceOf(from, card) : 0;
    const place = alike > 0 ? alike : this.placeOf(from, card);
    if (place < 1) return false;
    if (alike > 0) {
      const shown = this.held(this.cardAt(from, place)).find((each) => (each & CARD) === card) ?? card;
      this.settle({ packet: from, place, card: shown, ways: 1 });
    }
    this.take(from, place, onto);
    return true;
  }

  /**
   * A place at which a card may be taken to have lain, where it makes no difference: the rest of its pool lies in one
   * block, all of it here. 0 where it makes one.
   */
  private anyPlaceOf(packet: number, card: Card): number {
    if (super.placeOf(packet, card) > 0) return 0;
    for (let pool = 0; pool < this.pools; pool++) {
      const held = this.sizes[this.real + pool];
      if (held === 0 || this.held(FIRST_MARK + pool).filter((each) => (each & CARD) === card).length !== 1)
        continue;
      const size = this.write(packet, THROUGH, 0);
      const isHere = (each: number): boolean => (each & CARD) === FIRST_MARK + pool;
      const first = THROUGH.subarray(0, size).findIndex(isHere);
      const block = THROUGH.subarray(Math.max(0, first), first + held);
      if (first >= 0 && first + held <= size && block.every((each) => each === block[0])) return first + held;
    }
    return 0;
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

  /** A packet becomes these cards, a letter each, as `write` writes them. */
  layAnew(packet: number, letters: string): void {
    for (let at = 0; at < letters.length; at++) this.written[at] = letters.charCodeAt(at);
    this.lay(packet, letters.length);
  }

  private cardsOf(packet: number): Uint8Array {
    return THROUGH.slice(0, this.write(packet, THROUGH, 0));
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

  private freePool(): number | undefined {
    for (let packet = this.real; packet < this.real + this.pools; packet++)
      if (this.sizes[packet] === 0) return packet;
    return undefined;
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
    for (let other = this.real; other < this.real + this.pools; other++) {
      const held = this.sizes[other];
      if (held === 0 || other === hidden) continue;
      const mark = FIRST_MARK + other - this.real;
      const all = this.held(FIRST_MARK + hidden - this.real);
      const marks = all.filter((each) => (each & CARD) === mark);
      if (marks.length !== held || marks.some((each) => each !== marks[0])) continue;
      const side = marks[0] & FACE_UP;
      const cards = [
        ...all.filter((each) => (each & CARD) !== mark),
        ...this.held(mark).map((each) => each ^ side),
      ];
      this.written.set(cards);
      this.lay(hidden, cards.length);
      this.lay(other, 0);
    }
  }

  /** Whether it holds marks of one pool alone, all alike: mixing them changes nothing. */
  private isOneMark(hidden: number): boolean {
    const all = this.held(FIRST_MARK + hidden - this.real);
    return isMark(all[0] & CARD) && all.every((each) => each === all[0]);
  }

  /** What may lie where it is asked, in the order in which the pool holds it; nothing is asked any more. */
  possible(): readonly Possible[] {
    const { asked } = this;
    if (!asked) return [];
    this.asked = undefined;
    const { packet, place, card } = asked;
    const mark = this.cardAt(packet, place);
    const held = this.held(mark);
    const alike = held.filter((each) => (each & CARD) === card);
    if (alike.length === 1 && !this.isInside(mark)) return this.placesOf(mark, alike[0]);
    const ways = new Map<number, number>();
    for (const each of held) ways.set(each, (ways.get(each) ?? 0) + 1);
    return [...ways].map(([each, count]) => ({ packet, place, card: each, ways: count }));
  }

  /** A card at every place where a pool's mark lies. */
  private placesOf(mark: number, card: number): readonly Possible[] {
    return Array.from({ length: this.real }, (_, packet) =>
      [...this.cardsOf(packet)].flatMap((each, at): readonly Possible[] =>
        (each & CARD) === mark ? [{ packet, place: at + 1, card, ways: 1 }] : [],
      ),
    ).flat();
  }

  /** What was found out: a card of the pool lies there. */
  settle({ packet, place, card }: Possible): void {
    // Room for it, so that nothing is laid anew meanwhile.
    this.reserve(MOST_CARDS);
    const hidden = this.real + this.cardAt(packet, place) - FIRST_MARK;
    const at = this.held(FIRST_MARK + hidden - this.real).indexOf(card);
    this.drop(hidden, at + 1);
    const isUp = this.isFaceUp(packet, place) !== card >= FACE_UP;
    const cell = this.alone(packet, place);
    this.row[this.free] = card & CARD;
    this.runs[cell] = runOf(this.free++, 1, 1, isUp ? UPSIDE : 0);
  }

  /** The one card that lies where another shows: that itself, or, where it is a mark, the only one that its pool holds. */
  surely(card: Card): Card {
    if (!isMark(card)) return card;
    const held = new Set(this.held(card).map((each) => each & CARD));
    const [only] = held;
    return held.size === 1 ? this.surely(only) : NONE;
  }

  /** Whether any card is open. */
  private get isOpen(): boolean {
    for (let packet = this.real; packet < this.real + this.pools; packet++)
      if (this.sizes[packet] > 0) return true;
    return false;
  }

  /** Asks for any open card, of the pool with the fewest; gives false, since nothing can be done before. */
  private askAny(): false {
    let best: { packet: number; place: number; held: number } | undefined;
    for (let packet = 0; packet < this.real; packet++)
      this.cardsOf(packet).forEach((each, at) => {
        const held = isMark(each & CARD) ? this.sizes[this.real + (each & CARD) - FIRST_MARK] : 0;
        if (held > 0 && (!best || held < best.held)) best = { packet, place: at + 1, held };
      });
    if (best) this.ask(best.packet, best.place);
    return false;
  }

  /** What a pool holds, with the side that each shows where its mark lies face down. */
  private held(mark: number): number[] {
    return [...WITHIN.subarray(0, this.write(this.real + mark - FIRST_MARK, WITHIN, 0))];
  }

  private may(mark: number, these: readonly Card[]): boolean {
    return this.held(mark).some((each) => {
      const card = each & CARD;
      return isMark(card) ? this.may(card, these) : these.includes(card);
    });
  }

  private must(mark: number, these: readonly Card[]): boolean {
    return this.held(mark).every((each) => {
      const card = each & CARD;
      return isMark(card) ? this.must(card, these) : these.includes(card);
    });
  }

  /** Whether an open card may show either side. */
  private isOfSides(mark: number): boolean {
    return isMark(mark) && this.held(mark).some((each) => each >= FACE_UP || this.isOfSides(each));
  }

  /** Whether all that a pool holds lies in a packet. */
  private isWhole(packet: number, mark: number): boolean {
    const countIn = (cards: readonly number[]): number =>
      cards.filter((each) => (each & CARD) === mark).length;
    let found = countIn([...this.cardsOf(packet)]);
    for (let pool = 0; pool < this.pools; pool++) {
      const inside = countIn(this.held(FIRST_MARK + pool));
      if (inside > 0 && this.isWhole(packet, FIRST_MARK + pool)) found += inside;
    }
    return found === this.sizes[this.real + mark - FIRST_MARK];
  }

  /** Whether a pool that holds a card lies in a packet as a whole. */
  private isHeldWhole(packet: number, card: Card): boolean {
    for (let pool = 0; pool < this.pools; pool++) {
      const isHeld = this.held(FIRST_MARK + pool).some((each) => (each & CARD) === card);
      if (isHeld && this.isWhole(packet, FIRST_MARK + pool)) return true;
    }
    return false;
  }

  /** Whether marks of a pool are held by another. */
  private isInside(mark: number): boolean {
    for (let pool = 0; pool < this.pools; pool++)
      if (this.held(FIRST_MARK + pool).some((each) => (each & CARD) === mark)) return true;
    return false;
  }
}
