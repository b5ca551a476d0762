import { Card } from '../deck/card';
import { NONE } from './form';
import { INDIFFERENT, MOST_CARDS, ROOM } from './packets';
import { FACE_UP, lengthOf, runOf, startOf, stepOf, UPSIDE } from './run';
import { Table } from './table';

/** The cards from here on up to the indifferent one stand for a card of a pool. */
export const FIRST_MARK = 108;
/** How many pools there may be at once. */
export const MOST_POOLS = INDIFFERENT - FIRST_MARK;

export const CARD = FACE_UP - 1;
export const isMark = (card: Card): boolean => card >= FIRST_MARK && card < INDIFFERENT;

/** Values below NONE are tokens: this and the mark that stands for the card. */
const TOKEN = -(2 ** 31);
/** Whether a value is a card that was looked at and is not known: see `Pools`. */
export const isToken = (value: number): boolean => value < NONE;
export const tokenOf = (mark: Card): number => TOKEN + mark;
export const markOf = (token: number): Card => token - TOKEN;

/** Where packets are written to be read: nothing stays in them. */
export const THROUGH = new Uint8Array(MOST_CARDS);
const WITHIN = new Uint8Array(MOST_CARDS);
/** How often a card was met, while that is counted. */
const SEEN = new Uint8Array(CARD + 1);

/**
 * Packets that are mixed and stay so: cards of which nobody has seen where they lie. A *pool* holds them, a packet
 * behind those that people see; at their places lies its mark, and every order of them is as likely. Only what must be
 * known is found out, card by card: until then cards are lifted, counted and mixed again as if they were alike.
 *
 * A pool may hold marks of another. One that holds a single mark is a *token*: it stands for a card that was looked at,
 * of which nothing was wanted yet but that it is this one.
 */
export class Pools extends Table {
  /** Below this the row is never laid anew. */
  readonly base: number;

  /** How many packets people see; those behind them are the pools'. */
  readonly real: number;

  protected readonly pools: number;

  /** Where the marks of pools lie in the row. */
  protected readonly marks: number;

  /** Whether cards of both sides were ever mixed together. */
  protected hasSides = false;

  /**
   * @param start the packets in the order of their indices, top card first, face down.
   * @param pools how many there may be at once, from 0: where there are none, nothing is mixed so.
   */
  constructor(start: readonly (readonly Card[])[], pools: number) {
    // One more, where cards are laid aside.
    super([...start, ...Array.from({ length: pools > 0 ? pools + 1 : 0 }, () => [])]);
    this.real = start.length;
    this.pools = pools;
    this.marks = this.free;
    for (let pool = 0; pool < pools; pool++) this.row[this.free++] = FIRST_MARK + pool;
    this.base = this.free;
  }

  /** Whether mixed cards stay open here, and are not shuffled by chance. */
  get keepsOpen(): boolean {
    return this.pools > 0;
  }

  /** What stands in the end where a mark does: a card, a pool's mark, or the token of a card. */
  protected end(mark: Card): Card {
    let card = mark;
    while (isMark(card) && this.heldBy(card) === 1) {
      const inside = this.top(this.hiddenOf(card));
      if (isMark(inside) && this.heldBy(inside) !== 1) return card;
      card = inside;
    }
    return card;
  }

  /** Whether it is a mark that stands for one card alone. */
  protected isSingle(mark: Card): boolean {
    return isMark(mark) && this.heldBy(mark) === 1;
  }

  /** Makes a token of a card at a place where a pool's mark lies, if there is room for one; gives its mark. */
  protected nameAt(packet: number, place: number): Card | undefined {
    const hidden = this.freePool();
    if (hidden === undefined) return undefined;
    const pool = this.cardAt(packet, place);
    const token = this.markOfPool(hidden);
    this.putThere(packet, place, token);
    this.layIn(token, [pool]);
    return token;
  }

  /** Another card, or its other side, lies where one lay. */
  protected putThere(packet: number, place: number, card: number): void {
    // Room for it, so that nothing is laid anew meanwhile.
    this.reserve(MOST_CARDS);
    const isUp = this.isFaceUp(packet, place) !== card >= FACE_UP;
    const cell = this.alone(packet, place);
    this.row[this.free] = card & CARD;
    this.runs[cell] = runOf(this.free++, 1, 1, isUp ? UPSIDE : 0);
  }

  /** A packet becomes these cards, a letter each, as `write` writes them. */
  layAnew(packet: number, letters: string): void {
    for (let at = 0; at < letters.length; at++) this.written[at] = letters.charCodeAt(at);
    this.lay(packet, letters.length);
  }

  protected cardsOf(packet: number): Uint8Array {
    return THROUGH.slice(0, this.write(packet, THROUGH, 0));
  }

  protected freePool(): number | undefined {
    for (let packet = this.real; packet < this.real + this.pools; packet++)
      if (this.sizes[packet] === 0) return packet;
    return undefined;
  }

  protected layIn(mark: Card, cards: readonly number[]): void {
    this.written.set(cards);
    this.lay(this.hiddenOf(mark), cards.length);
  }

  /** The one card that lies where another shows: that itself, or, where it is a mark, the only one that its pool holds. */
  surely(card: Card): Card {
    if (!isMark(card)) return card;
    const held = new Set(this.held(card).map((each) => each & CARD));
    const [only] = held;
    return held.size === 1 ? this.surely(only) : NONE;
  }

  protected get allMarks(): readonly Card[] {
    return Array.from({ length: this.pools }, (_, pool) => FIRST_MARK + pool);
  }

  /** Whether any card is open. */
  protected get isOpen(): boolean {
    for (let packet = this.real; packet < this.real + this.pools; packet++)
      if (this.sizes[packet] > 0) return true;
    return false;
  }

  protected hiddenOf(mark: Card): number {
    return this.real + mark - FIRST_MARK;
  }

  /** The other way about: the mark of a pool by its packet. */
  protected markOfPool(hidden: number): Card {
    return FIRST_MARK + hidden - this.real;
  }

  /** How many cards a pool holds. */
  protected heldBy(mark: Card): number {
    return this.sizes[this.hiddenOf(mark)];
  }

  /** What a pool holds, with the side that each shows where its mark lies face down. */
  protected held(mark: number): number[] {
    const count = this.write(this.hiddenOf(mark), WITHIN, 0);
    const cards: number[] = [];
    // By hand: a list of a part of bytes is many times slower.
    for (let at = 0; at < count; at++) cards.push(WITHIN[at]);
    return cards;
  }

  /** Whether what stands in the end where a mark does may be one of these. */
  protected may(mark: Card, these: readonly Card[]): boolean {
    return this.isHeld(mark, (card) => (isMark(card) ? this.may(card, these) : these.includes(card)));
  }

  /** Whether a pool holds such a card, or mark. */
  private isHeld(mark: Card, is: (card: Card) => boolean): boolean {
    return this.isAny(this.hiddenOf(mark), is);
  }

  /** Whether such a card, or mark, lies in a packet. */
  private isAny(packet: number, is: (card: Card) => boolean): boolean {
    const { runs, counts, row } = this;
    const from = packet * ROOM;
    for (let index = from; index < from + counts[packet]; index++) {
      const step = stepOf(runs[index]);
      for (let at = startOf(runs[index]), left = lengthOf(runs[index]); left > 0; left--, at += step)
        if (is(row[at] & CARD)) return true;
    }
    return false;
  }

  protected must(mark: number, these: readonly Card[]): boolean {
    return this.held(mark).every((each) => {
      const card = each & CARD;
      return isMark(card) ? this.must(card, these) : these.includes(card);
    });
  }

  /** Whether what stands in the end where a mark does may show either side. */
  protected isOfSides(mark: Card): boolean {
    const card = this.end(mark);
    if (!isMark(card)) return false;
    return this.held(this.poolOf(card)).some(
      (each) => ((each >> 7) ^ this.sideBehind(each & CARD)) === 1 || this.isOfSides(each & CARD),
    );
  }

  /** 1 where a card lies face up whose mark lies face down: what the pools on the way to it say of its side. */
  protected sideBehind(mark: Card): number {
    let [card, up] = [mark, 0];
    while (this.isSingle(card)) {
      const [inside] = this.held(card);
      up ^= inside >> 7;
      card = inside & CARD;
    }
    return up;
  }

  /** The pool that a mark is of; of a token the one that it is taken from. */
  protected poolOf(mark: Card): Card {
    return this.isSingle(mark) ? this.top(this.hiddenOf(mark)) : mark;
  }

  /** How often a card, or a mark, lies in a packet. */
  private countOf(packet: number, card: Card): number {
    let count = 0;
    this.isAny(packet, (each) => {
      if (each === card) count++;
      return false;
    });
    return count;
  }

  /** Whether all that a pool holds lies in a packet. */
  protected isWhole(packet: number, mark: number): boolean {
    let found = this.countOf(packet, mark);
    for (let pool = 0; pool < this.pools; pool++) {
      const inside = this.countOf(this.real + pool, mark);
      if (inside > 0 && this.isWhole(packet, FIRST_MARK + pool)) found += inside;
    }
    return found === this.heldBy(mark);
  }

  /** Whether a pool that holds a card lies in a packet as a whole. */
  protected isHeldWhole(packet: number, card: Card): boolean {
    return this.allMarks.some((mark) => this.endsIn(mark).includes(card) && this.isWhole(packet, mark));
  }

  /** What a pool holds in the end. */
  protected endsIn(mark: Card): readonly Card[] {
    return this.held(mark).map((each) => this.end(each & CARD));
  }

  /** Whether two cards of a pool are alike, or may be. */
  private hasTwoAlike(pool: Card): boolean {
    SEEN.fill(0);
    return this.isHeld(pool, (card) => isMark(card) || SEEN[card]++ > 0);
  }

  /** Whether the card that a token is may be alike to what a mark stands for elsewhere, or be another card. */
  protected mayBeAlike(token: Card, other: Card): boolean {
    if (!isMark(other)) return this.may(token, [other]);
    const pool = this.poolOf(token);
    if (this.poolOf(other) === pool) return this.hasTwoAlike(pool);
    return this.isHeld(pool, (card) => isMark(card) || this.may(other, [card]));
  }
}
