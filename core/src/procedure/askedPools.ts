import { Card } from '../deck/card';
import { NONE } from './form';
import { CARD, isMark, isToken, markOf, Pools } from './pools';
import { FACE_UP } from './run';

/** A card that may lie at a place from 1, or be the card that a token is, and how many ways lead to it. */
export type Possible = {
  readonly card: number;
  readonly ways: number;
  /** The pool that holds the card, where a mark of that is held by the pool whose mark lies there. */
  readonly through?: Card;
} & Where;

type Where = { readonly packet: number; readonly place: number } | { readonly token: Card };

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

/**
 * Pools that are asked what lies where. What must know more gives NONE, and `isAsked` says so: `possible` lists what may
 * be, `settle` makes it so.
 */
export class AskedPools extends Pools {
  private asked: Asked | undefined;

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
    return this.allMarks.filter(
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
    this.layIn(found.token, [found.card ^ side]);
  }

  /** Asks for any open card, of the pool with the fewest; gives false, since nothing can be done before. */
  protected askAny(): false {
    let best: { packet: number; place: number; held: number } | undefined;
    for (let packet = 0; packet < this.real; packet++)
      this.cardsOf(packet).forEach((each, at) => {
        const held = isMark(each & CARD) ? this.heldBy(each & CARD) : 0;
        if (held > 0 && (!best || held < best.held)) best = { packet, place: at + 1, held };
      });
    if (best) this.ask(best.packet, best.place);
    return false;
  }

  private dropOne(mark: Card, card: number): void {
    this.drop(this.hiddenOf(mark), this.held(mark).indexOf(card) + 1);
  }
}
