import { Card } from '../deck/card';
import { NONE } from './form';
import { INDIFFERENT, MOST_CARDS, ROOM } from './packets';
import { FACE_UP, flagsOf, runOf, UPSIDE } from './run';
import { Table } from './table';

/** The cards from here on up to the indifferent one stand for a card of a pool. */
const FIRST_MARK = 108;
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

/** A card that may lie at a place from 1, or be the card that a token is, and how many ways lead to it. */
export type Possible = {
  readonly card: number;
  readonly ways: number;
  /** The pool that holds the card, where a mark of that is held by the pool whose mark lies there. */
  readonly through?: Card;
} & Where;

type Where = { readonly packet: number; readonly place: number } | { readonly token: Card };

/** What was mixed: so many cards of a packet from an index on, as they lay before and behind it. */
interface Noted {
  readonly before: Uint8Array;
  readonly after: Uint8Array;
  readonly from: number;
  readonly count: number;
}

/**
 * What is asked: which card lies at a place, or which a token is; or where a card lies that may lie there; or whether it
 * is one of these.
 */
interface Asked {
  readonly packet: number;
  readonly place: number;
  readonly token: Card;
  readonly card: Card;
  readonly these: readonly Card[] | undefined;
}

/** Where packets are written to be read: nothing stays in them. */
export const THROUGH = new Uint8Array(MOST_CARDS);
const WITHIN = new Uint8Array(MOST_CARDS);

/**
 * Packets that are mixed and stay so: cards of which nobody has seen where they lie. A *pool* holds them, a packet
 * behind those that people see; at their places lies its mark, and every order of them is as likely. Only what must be
 * known is found out, card by card: until then cards are lifted, counted and mixed again as if they were alike.
 *
 * A pool may hold marks of another. One that holds a single mark is a *token*: it stands for a card that was looked at,
 * of which nothing was wanted yet but that it is this one.
 *
 * What must know more gives NONE, and `isAsked` says so: `possible` lists what may be, `settle` makes it so.
 */
export class Pools extends Table {
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
  protected readonly pools: number;
  /** Where the marks of pools lie in the row. */
  private readonly marks: number;
  /** Whether cards of both sides were ever mixed together. */
  protected hasSides = false;
  private asked: Asked | undefined;

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

  /** @param card where that lies is asked, if it is told. */
  protected ask(packet: number, place: number, card: Card = NONE): number {
    this.asked = { packet, place, token: NONE, card, these: undefined };
    return NONE;
  }

  /** Asks only whether one of these lies there, and not yet which. */
  protected askWhether(packet: number, place: number, these: readonly Card[]): number {
    this.asked = { packet, place, token: NONE, card: NONE, these };
    return NONE;
  }

  protected askToken(token: Card): number {
    this.asked = { packet: NONE, place: NONE, token, card: NONE, these: undefined };
    return NONE;
  }

  /** A card value as a card: of a token what it is, or NONE where that must be found out first. */
  known(value: number): Card {
    if (!isToken(value)) return value;
    const card = this.end(markOf(value));
    return isMark(card) ? this.askToken(card) : card;
  }

  /** What stands in the end where a mark does: a card, a pool's mark, or the token of a card. */
  protected end(mark: Card): Card {
    let card = mark;
    while (isMark(card) && this.heldBy(card) === 1) {
      const inside = this.held(card)[0] & CARD;
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
    const token = FIRST_MARK + hidden - this.real;
    this.putThere(packet, place, token);
    this.written[0] = pool;
    this.lay(hidden, 1);
    return token;
  }

  /** Another card, or its other side, lies where one lay. */
  private putThere(packet: number, place: number, card: number): void {
    // Room for it, so that nothing is laid anew meanwhile.
    this.reserve(MOST_CARDS);
    const isUp = this.isFaceUp(packet, place) !== card >= FACE_UP;
    const cell = this.alone(packet, place);
    this.row[this.free] = card & CARD;
    this.runs[cell] = runOf(this.free++, 1, 1, isUp ? UPSIDE : 0);
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

  protected cardsOf(packet: number): Uint8Array {
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
      // A token stays itself.
      if (held < 2 || other === hidden) continue;
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

  /** What may be where it is asked, in the order in which the pool holds it; nothing is asked any more. */
  possible(): readonly Possible[] {
    const { asked } = this;
    if (!asked) return [];
    this.asked = undefined;
    const { packet, place, card } = asked;
    const token = asked.token === NONE ? this.tokenAt(packet, place) : asked.token;
    const mark = this.poolOf(token ?? this.cardAt(packet, place));
    if (asked.these) this.sift(mark, asked.these);
    const found = card === NONE ? undefined : this.placesOf(mark, card);
    if (found) return found;
    const ways = new Map<number, number>();
    for (const each of this.held(mark)) ways.set(each, (ways.get(each) ?? 0) + 1);
    return [...ways].map(([each, count]) =>
      token === undefined ? { packet, place, card: each, ways: count } : { token, card: each, ways: count },
    );
  }

  private tokenAt(packet: number, place: number): Card | undefined {
    const card = this.end(this.cardAt(packet, place));
    return this.isSingle(card) ? card : undefined;
  }

  /**
   * What a pool holds, in two pools of its own: what is one of these, and what is none. So it is found out whether one
   * lies there, and not which.
   */
  private sift(mark: Card, these: readonly Card[]): void {
    const held = this.held(mark);
    const cards = held.filter((each) => !isMark(each & CARD));
    const chosen = cards.filter((each) => these.includes(each & CARD));
    const others = cards.filter((each) => !these.includes(each & CARD));
    const pools = this.allMarks.filter((each) => this.heldBy(each) === 0);
    if (pools.length < 3 || chosen.length === 0 || others.length < 2) return;
    const marks = held.filter((each) => isMark(each & CARD));
    const inPool = [chosen, others].map((part, index) => {
      if (part.length === 1) return part;
      this.layIn(pools[index], part);
      return part.map(() => pools[index]);
    });
    this.layIn(mark, [...marks, ...inPool.flat()]);
  }

  private layIn(mark: Card, cards: readonly number[]): void {
    this.written.set(cards);
    this.lay(this.hiddenOf(mark), cards.length);
  }

  /**
   * A card at every place, and as every token, that it may be: at the marks of the pool that holds it, and at those of
   * pools that hold marks of that.
   *
   * @returns undefined where it has no one pool, or pools lie within each other more than twice.
   */
  private placesOf(mark: Card, card: Card): readonly Possible[] | undefined {
    const isCard = (each: number): boolean => (each & CARD) === card;
    const holding = this.allMarks.filter((each) => !this.isSingle(each) && this.held(each).some(isCard));
    const [pool] = holding;
    const all = holding.length === 1 ? this.held(pool).filter(isCard) : [];
    if (all.length !== 1) return undefined;
    const outer = this.holdersOf(pool);
    // Where marks lie of both sides, it is found out card by card.
    const isPlain = (each: Card): boolean =>
      this.holdersOf(each).length === 0 &&
      this.held(each).every((inside) => (inside & CARD) !== pool || inside === pool);
    if (!outer.every(isPlain) || (mark !== pool && !outer.includes(mark))) return undefined;
    return [
      ...this.marksOf(pool).map((at) => ({ ...at, card: all[0], ways: 1 })),
      ...outer.flatMap((each) => {
        const held = this.held(each);
        const within = held.filter((inside) => inside === pool);
        const ways = within.length / held.length;
        return this.marksOf(each).map((at) => ({ ...at, card: all[0], ways, through: pool }));
      }),
    ];
  }

  /** The pools that hold marks of another, tokens aside. */
  private holdersOf(mark: Card): readonly Card[] {
    return this.allMarks.filter(
      (each) => !this.isSingle(each) && this.held(each).some((inside) => (inside & CARD) === mark),
    );
  }

  /** Every place where a pool's mark lies, and every token of it. */
  private marksOf(mark: Card): readonly Where[] {
    const places = Array.from({ length: this.real }, (_, packet) =>
      [...this.cardsOf(packet)].flatMap((each, at) =>
        (each & CARD) === mark ? [{ packet, place: at + 1 }] : [],
      ),
    ).flat();
    return [...places, ...this.tokensOf(mark).map((token) => ({ token }))];
  }

  private tokensOf(mark: Card): readonly Card[] {
    return Array.from({ length: this.pools }, (_, pool) => FIRST_MARK + pool).filter(
      (token) => token !== mark && this.isSingle(token) && (this.held(token)[0] & CARD) === mark,
    );
  }

  /** What was found out: a card of a pool lies there, or is what a token stands for. */
  settle(found: Possible): void {
    const mark = this.poolOf('token' in found ? found.token : this.cardAt(found.packet, found.place));
    if (found.through === undefined) this.dropOne(mark, found.card);
    else {
      this.dropOne(found.through, found.card);
      this.dropOne(mark, found.through);
    }
    if ('place' in found) {
      this.putThere(found.packet, found.place, found.card);
      return;
    }
    const side = this.held(found.token)[0] & FACE_UP;
    this.written[0] = found.card ^ side;
    this.lay(this.hiddenOf(found.token), 1);
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

  /** Asks for any open card, of the pool with the fewest; gives false, since nothing can be done before. */
  protected askAny(): false {
    let best: { packet: number; place: number; held: number } | undefined;
    for (let packet = 0; packet < this.real; packet++)
      this.cardsOf(packet).forEach((each, at) => {
        const held = isMark(each & CARD) ? this.sizes[this.real + (each & CARD) - FIRST_MARK] : 0;
        if (held > 0 && (!best || held < best.held)) best = { packet, place: at + 1, held };
      });
    if (best) this.ask(best.packet, best.place);
    return false;
  }

  private dropOne(mark: Card, card: number): void {
    this.drop(this.hiddenOf(mark), this.held(mark).indexOf(card) + 1);
  }

  private hiddenOf(mark: Card): number {
    return this.real + mark - FIRST_MARK;
  }

  /** How many cards a pool holds. */
  private heldBy(mark: Card): number {
    return this.sizes[this.hiddenOf(mark)];
  }

  /** What a pool holds, with the side that each shows where its mark lies face down. */
  protected held(mark: number): number[] {
    return [...WITHIN.subarray(0, this.write(this.hiddenOf(mark), WITHIN, 0))];
  }

  protected may(mark: number, these: readonly Card[]): boolean {
    return this.held(mark).some((each) => {
      const card = each & CARD;
      return isMark(card) ? this.may(card, these) : these.includes(card);
    });
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
  private poolOf(mark: Card): Card {
    return this.isSingle(mark) ? this.held(mark)[0] & CARD : mark;
  }

  /** Whether all that a pool holds lies in a packet. */
  protected isWhole(packet: number, mark: number): boolean {
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
  protected isHeldWhole(packet: number, card: Card): boolean {
    return this.allMarks.some((mark) => this.endsIn(mark).includes(card) && this.isWhole(packet, mark));
  }

  /** What a pool holds in the end. */
  protected endsIn(mark: Card): readonly Card[] {
    return this.held(mark).map((each) => this.end(each & CARD));
  }

  /** Whether the card that a token is may be alike to what a mark stands for elsewhere, or be another card. */
  protected mayBeAlike(token: Card, other: Card): boolean {
    if (!isMark(other)) return this.may(token, [other]);
    const pool = this.poolOf(token);
    const inPool = this.held(pool).map((each) => each & CARD);
    if (this.poolOf(other) === pool) return inPool.some(isMark) || new Set(inPool).size < inPool.length;
    return inPool.some((card) => isMark(card) || this.may(other, [card]));
  }
}
