import { parseCard, formatCard } from '../deck/notation';
import { Form, Kind, Slot } from '../procedure/form';
import { Condition, Expression } from '../procedure/procedure';
import { MOST_OFFERED, Offers } from './offers';
import { ALL_OF, BEGINNINGS, COMPARED, Phrase, PHRASES, Piece } from './phrases';

/** What may be named in an expression. */
export interface Names {
  /** Names that are given anywhere, and the givens. */
  readonly names: readonly string[];
  /** Those of them that are offered, each with what it holds where that is known; all unless told. */
  readonly offered?: ReadonlyMap<string, Kind | undefined>;
  readonly packets: readonly string[];
  readonly orders: readonly string[];
}

/** What words mean, or how they may go on and what is not understood. */
export type ReadWords =
  | { readonly ok: true; readonly value: Expression | Condition }
  | { readonly ok: false; readonly what: string };

/** Words that are not understood, as they stand in a step until they are: no procedure with them is right. */
export const notRead = (text: string): Readonly<Record<string, unknown>> => ({ words: text });

/** Reads words from the left to the right; each part gives undefined where it is not there, and stays. */
class Words {
  at = 0;
  /** How far anything was understood. */
  furthest = 0;
  readonly offers: Offers;
  /** What is wanted here: nothing of the other kind is offered. */
  private wants: Kind | undefined;
  /** Whether a name is a name, though it may be how other words begin; and whether one of them is such. */
  private namesFirst = false;
  private readonly beginsWords: boolean;

  constructor(
    private readonly text: string,
    private readonly known: Names,
  ) {
    this.offers = new Offers(text);
    this.beginsWords = known.names.some((name) =>
      BEGINNINGS.some((words) => words.startsWith(name.toLowerCase())),
    );
  }

  /** Reads something where one kind is wanted. */
  wanting<Found>(kind: Kind | undefined, read: () => Found): Found {
    const before = this.wants;
    this.wants = kind;
    const found = read();
    this.wants = before;
    return found;
  }

  get atEnd(): boolean {
    this.blanks();
    return this.at === this.text.length;
  }

  private blanks(): void {
    while (this.text[this.at] === ' ') this.at++;
  }

  /** Words as they stand; the last of them must end there. */
  private take(words: string, offered = true): boolean {
    this.blanks();
    const wanted = words.trim();
    if (offered) this.offers.note(this.at, `${wanted} `.slice(0, /\w$/.test(wanted) ? undefined : -1));
    const end = this.at + wanted.length;
    if (this.text.slice(this.at, end).toLowerCase() !== wanted.toLowerCase()) return false;
    // A name is not the rank of a card: `k` and `K♠`.
    if (/\w$/.test(wanted) && /^[\w’'♣♦♥♠]/.test(this.text.slice(end))) return false;
    this.at = end;
    this.furthest = Math.max(this.furthest, end);
    return true;
  }

  private takeOne(words: readonly string[]): boolean {
    return words.some((each, index) => this.take(each, index === 0));
  }

  /** Tries something; what was read of it is given back where it is not there. */
  private attempt<Found>(read: () => Found | undefined): Found | undefined {
    const before = this.at;
    const found = read();
    if (found === undefined) this.at = before;
    return found;
  }

  /** The longest of these names that stands here, one that is written just so before others. */
  private named(names: readonly string[]): string | undefined {
    this.blanks();
    const standsHere = (name: string): boolean => this.text.startsWith(name, this.at);
    return [...names]
      .sort((a, b) => b.length - a.length || Number(standsHere(b)) - Number(standsHere(a)))
      .find((name) => this.take(name, this.isOffered(name)));
  }

  /** A name that stands here; where it is written otherwise than a card that is meant, the card. */
  private givenName(): string | undefined {
    const from = this.at;
    const name = this.named(this.known.names);
    if (name === undefined || this.text.slice(this.at - name.length, this.at) === name) return name;
    const end = this.at;
    this.at = from;
    const isCard = this.attempt(() => this.card()) !== undefined && this.at >= end;
    this.at = isCard ? from : end;
    return isCard ? undefined : name;
  }

  private isOffered(name: string): boolean {
    const { names, offered } = this.known;
    if (!offered || !names.includes(name)) return true;
    const kind = offered.get(name);
    return offered.has(name) && (kind === undefined || this.wants === undefined || kind === this.wants);
  }

  private fits({ gives }: Form): boolean {
    return gives === 'condition' || this.wants === undefined || gives === this.wants;
  }

  condition(): Condition | undefined {
    return this.joined('any', ['or'], () => this.joined('all', ['and'], () => this.single()));
  }

  private joined(
    field: string,
    words: readonly string[],
    read: () => Condition | undefined,
  ): Condition | undefined {
    const first = read();
    if (first === undefined) return undefined;
    const found = [first];
    for (;;) {
      const next = this.attempt(() => (this.takeOne(words) ? read() : undefined));
      if (next === undefined) break;
      found.push(next);
    }
    return found.length === 1 ? first : { [field]: found };
  }

  private single(): Condition | undefined {
    return (
      this.attempt(() => {
        if (!this.takeOne(['not so:', 'not'])) return undefined;
        const inner = this.single();
        return inner && { not: inner };
      }) ??
      this.attempt(() => this.phrase('condition') as Condition | undefined) ??
      this.attempt(() => this.comparison()) ??
      this.attempt(() => (this.take('(') ? this.closed(this.condition()) : undefined))
    );
  }

  private comparison(): Condition | undefined {
    const first = this.value();
    if (first === undefined) return undefined;
    const between = this.attempt(() => {
      if (!this.takeOne(['is between', 'is from'])) return undefined;
      const low = this.value();
      if (low === undefined || !this.takeOne(['and', 'to'])) return undefined;
      const high = this.value();
      return high === undefined
        ? undefined
        : { all: [{ 'at most': [low, first] }, { 'at most': [first, high] }] };
    });
    if (between) return between;
    for (const [odd, words] of [
      [1, 'is odd'],
      [0, 'is even'],
    ] as const)
      if (this.take(words)) return { equal: [{ remainder: [first, 2] }, odd] };
    for (const [words, make] of COMPARED) {
      const found = this.attempt(() => {
        if (!this.takeOne(words)) return undefined;
        const second = this.value();
        return second === undefined ? undefined : make(first, second);
      });
      if (found) return found;
    }
    return undefined;
  }

  value(): Expression | undefined {
    const first = this.sum();
    if (first === undefined) return undefined;
    const count = this.attempt(() => (this.take('counted round') ? this.sum() : undefined));
    return count === undefined ? first : { around: [first, count] };
  }

  private sum(): Expression | undefined {
    let value = this.product();
    if (value === undefined) return undefined;
    // Only what is read here in one row is one sum: what stands in brackets stays by itself.
    let row: Expression[] | undefined;
    for (;;) {
      const more = this.attempt(() => (this.takeOne(['+', 'plus']) ? this.operand() : undefined));
      if (more !== undefined) {
        row = row ? [...row, more] : [value, more];
        value = { sum: row };
        continue;
      }
      const less = this.attempt(() =>
        this.takeOne(['−', '-', '–', 'less', 'minus']) ? this.operand() : undefined,
      );
      if (less === undefined) return value;
      value = { difference: [value, less] };
      row = undefined;
    }
  }

  private operand(): Expression | undefined {
    return this.wanting('number', () => this.product());
  }

  private product(): Expression | undefined {
    const first = this.part();
    if (first === undefined) return undefined;
    const found: Expression[] = [first];
    for (;;) {
      const next = this.attempt(() => (this.takeOne(['×', '*', 'times']) ? this.part() : undefined));
      if (next === undefined) return found.length === 1 ? first : { product: found };
      found.push(next);
    }
  }

  /** A name, a number, a card, something to look at, or an expression in brackets. */
  private part(): Expression | undefined {
    return (
      this.longest(
        () => this.givenName(),
        () => this.phrase('value') as Expression | undefined,
      ) ??
      this.attempt(() => (this.take('(') ? this.closed(this.value()) : undefined)) ??
      this.number() ??
      this.card()
    );
  }

  /** Of two readings the one that takes more: a name may be how other words begin. */
  private longest<Found>(...reads: readonly (() => Found | undefined)[]): Found | undefined {
    const from = this.at;
    const [first] = reads;
    if (this.namesFirst) {
      const name = this.attempt(first);
      if (name !== undefined) return name;
    }
    const found = reads.map((read) => {
      this.at = from;
      const value = this.attempt(read);
      return { value, end: this.at };
    });
    const best = found.reduce((a, b) =>
      b.value !== undefined && (a.value === undefined || b.end > a.end) ? b : a,
    );
    this.at = best.end;
    return best.value;
  }

  private closed<Found>(found: Found | undefined): Found | undefined {
    return found !== undefined && this.take(')') ? found : undefined;
  }

  private number(): number | undefined {
    this.blanks();
    const [text] = /^[−-]?\d+(?![\w♣♦♥♠])/.exec(this.text.slice(this.at)) ?? [];
    if (text === undefined) return undefined;
    this.at += text.length;
    this.furthest = Math.max(this.furthest, this.at);
    return Number(text.replace('−', '-'));
  }

  private card(): Expression | undefined {
    if (this.takeOne(['an indifferent card', 'indifferent'])) return { card: '-' };
    this.blanks();
    const [text] = /^[^\s()+,−]+/.exec(this.text.slice(this.at)) ?? [];
    const card = text === undefined ? undefined : parseCard(text);
    if (text === undefined || card === undefined) return undefined;
    this.at += text.length;
    this.furthest = Math.max(this.furthest, this.at);
    return { card: formatCard(card) };
  }

  private phrase(gives: 'value' | 'condition'): unknown {
    const begins = this.at;
    for (const the of [true, false]) {
      this.at = begins;
      if (the && !this.take('the', false)) continue;
      const from = this.at;
      for (const phrase of PHRASES) {
        if ((phrase.form.gives === 'condition') !== (gives === 'condition')) continue;
        this.at = from;
        const found = this.fields(phrase);
        if (found) return found;
      }
    }
    return undefined;
  }

  /** `the card at size of pack`: where words that go on take too much, the name alone is tried. */
  private fields(phrase: Phrase): Readonly<Record<string, unknown>> | undefined {
    const from = this.at;
    const found = this.fieldsOf(phrase);
    if (found || this.namesFirst || !this.beginsWords) return found;
    this.at = from;
    this.namesFirst = true;
    const other = this.fieldsOf(phrase);
    this.namesFirst = false;
    return other;
  }

  private fieldsOf({ form, pieces }: Phrase): Readonly<Record<string, unknown>> | undefined {
    const found: Record<string, unknown> = {};
    for (const [index, piece] of pieces.entries()) {
      if (typeof piece === 'string') {
        if (!this.take(piece, index > 0 || this.fits(form))) return undefined;
        continue;
      }
      const value = this.slot(piece, index === pieces.length - 1);
      if (value === undefined) return undefined;
      found[piece.field] = value;
    }
    return found;
  }

  private slot({ slot, between }: Exclude<Piece, string>, last: boolean): unknown {
    switch (slot) {
      case 'packet':
        return this.named(this.known.packets);
      case 'order':
        return this.named(this.known.orders);
      case 'condition':
        return last ? this.single() : this.condition();
      case 'towards':
        return ['face', 'top'].find((end) => this.take(end));
      case 'these':
        return this.these(between ?? ', ');
      case 'numbers':
      case 'twoNumbers':
        return this.list(between ?? ', ', () => this.sum());
      default:
        // What ends the phrase is one part: more of it stands in brackets.
        return this.wanting(slot === 'card' || slot === 'number' ? slot : undefined, () =>
          last ? this.part() : this.value(),
        );
    }
  }

  /** The cards of an order, or cards one by one. */
  private these(between: string): string | readonly unknown[] | undefined {
    const order = this.attempt(() =>
      this.take(ALL_OF) ? this.named(this.known.orders) : this.unlessNamed(this.known.orders),
    );
    return order ?? this.list(between, () => this.wanting('card', () => this.part()));
  }

  /** One of these where it stands, and is no name of a value. */
  private unlessNamed(orders: readonly string[]): string | undefined {
    return this.named(orders.filter((order) => !this.known.names.includes(order)));
  }

  private list(between: string, read: () => Expression | undefined): readonly unknown[] | undefined {
    const first = read();
    if (first === undefined) return undefined;
    const found: unknown[] = [first];
    for (;;) {
      const next = this.attempt(() => (this.take(between) ? read() : undefined));
      if (next === undefined) return found;
      found.push(next);
    }
  }
}

const readAs = (words: Words, slot: Slot): Expression | Condition | undefined =>
  slot === 'condition'
    ? words.condition()
    : words.wanting(slot === 'card' || slot === 'number' ? slot : undefined, () => words.value());

/**
 * Reads an expression or a condition in words, as `sayExpression` says it and in some other words beside.
 *
 * @param slot what is wanted: `condition`, or anything else for a value.
 */
export const readWords = (text: string, slot: Slot, known: Names): ReadWords => {
  const words = new Words(text, known);
  const value = readAs(words, slot);
  if (value !== undefined && words.atEnd) return { ok: true, value };
  const rest = text.slice(Math.max(words.furthest, value === undefined ? 0 : words.at)).trim();
  if (text.trim() === '') return { ok: false, what: 'Something is missing here.' };
  return {
    ok: false,
    what: rest === '' ? `“${text.trim()}” is not whole yet.` : `“${rest}” is not understood here.`,
  };
};

/** How words may go on: whole texts, the likely ones first. */
export const completions = (text: string, slot: Slot, known: Names): readonly string[] => {
  const words = new Words(text, known);
  readAs(words, slot);
  return [...words.offers.all].slice(0, MOST_OFFERED);
};
