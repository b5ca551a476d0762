/**
 * A second reading of procedures, written for tests from docs/code/rehearsing.md alone: plain, slow, and sharing no code
 * with the kernel. Every world is run from its first step; cards are texts with a side.
 */
interface Lying {
  readonly card: string;
  readonly up: boolean;
}
type Packets = Record<string, Lying[]>;
type Value = number | string;
type Json = Record<string, unknown>;

export interface SlowFailure {
  readonly choices: readonly (readonly [string, number])[];
  readonly at: string;
  readonly why: string;
  /** The packet behind each mix, where something was mixed. */
  readonly orders?: readonly (readonly string[])[];
}

export interface SlowProof {
  readonly held: number;
  readonly outs: number;
  readonly failed: number;
  readonly leftOut: number;
  readonly failures: readonly SlowFailure[];
  /** What each kind of end weighs. */
  readonly weights: Record<'held' | 'outs' | 'failed', number>;
  /** The number of cards on the table of every world that was run to an end. */
  readonly cards: ReadonlySet<number>;
}

class CannotBeDone extends Error {}
class Ended extends Error {
  constructor(
    readonly how: 'out' | 'claim' | 'left out' | 'cannot be done',
    readonly at: string,
  ) {
    super(how);
  }
}

const RANKS = 'A23456789TJQK';
const SUITS = 'CDHS';
const isPlain = (card: string): boolean => card !== '-' && !card.startsWith('X');
const second = (card: string): string => (card.endsWith('*') ? '*' : '');

const mate = (card: string): string => {
  if (card === '-') throw new CannotBeDone();
  if (card.startsWith('X')) return (card[1] === '1' ? 'X2' : 'X1') + second(card);
  return card[0] + { C: 'S', S: 'C', D: 'H', H: 'D' }[card[1] as 'C'] + second(card);
};

class World {
  readonly packets: Packets = {};
  readonly names: Record<string, Value> = {};
  readonly choices: [string, number][] = [];
  /** The same with the path of each choice. */
  readonly made: { readonly path: string; readonly value: number }[] = [];
  /** What lay where behind each mix. */
  readonly orders: string[][] = [];
  /** What was claimed to be known, with what was seen by then. */
  readonly claims: { readonly at: string; readonly sights: string; readonly value: Value }[] = [];
  weight = 1;

  constructor(
    private readonly procedure: Json,
    private readonly known: ReadonlySet<string>,
    private readonly choose: (low: number, high: number) => number,
  ) {
    const givens = (procedure['givens'] ?? {}) as Record<string, number>;
    Object.assign(this.names, givens);
    for (const [name, row] of Object.entries((procedure['packets'] ?? {}) as Record<string, unknown[]>))
      this.packets[name] = row.flatMap((each): Lying[] => {
        if (typeof each === 'string') return [{ card: each, up: false }];
        const part = each as Json;
        if ('first' in part)
          return (part['of'] as string[])
            .slice(0, this.number(part['first']))
            .map((card) => ({ card, up: false }));
        return Array.from({ length: this.number(part['indifferent']) }, () => ({ card: '-', up: false }));
      });
  }

  private packet(name: unknown): Lying[] {
    return (this.packets[name as string] ??= []);
  }

  private number(value: unknown): number {
    return this.value(value) as number;
  }

  private at(packet: unknown, place: number): Lying {
    const found = this.packet(packet)[place - 1] as Lying | undefined;
    if (!found) throw new CannotBeDone();
    return found;
  }

  /** The cards of *these*: a list of expressions, or an order's name. */
  private these(value: unknown): string[] {
    if (typeof value === 'string')
      return ((this.procedure['orders'] ?? {}) as Record<string, string[]>)[value];
    return (value as unknown[]).map((each) => this.value(each) as string);
  }

  /** A packet's cards on the way to one end from the other. */
  private along(packet: unknown, towards: unknown): string[] {
    const cards = this.packet(packet).map(({ card }) => card);
    return towards === 'face' ? cards : cards.reverse();
  }

  private throughFaces(e: Json): Value | undefined {
    const there = (): string[] => this.packet(e['in']).map(({ card }) => card);
    const found = (card: string | undefined): string => {
      if (card === undefined) throw new CannotBeDone();
      return card;
    };
    if ('how many of' in e) {
      const these = this.these(e['how many of']);
      return there().filter((card) => these.includes(card)).length;
    }
    if ('first of' in e) {
      const lie = this.packet(e['not in']).map(({ card }) => card);
      return found(this.these(e['first of']).find((card) => !lie.includes(card)));
    }
    if ('first among' in e) {
      const these = this.these(e['first among']);
      return found(this.along(e['in'], e['towards']).find((card) => these.includes(card)));
    }
    if ('next after' in e) {
      const from = this.value(e['next after']) as string;
      const place = there().indexOf(from);
      if (place < 0) throw new CannotBeDone();
      const beyond = e['towards'] === 'face' ? there().slice(place + 1) : there().slice(0, place).reverse();
      const these = 'among' in e ? this.these(e['among']) : undefined;
      return found(beyond.find((card) => !these || these.includes(card)));
    }
    if ('mates together in' in e) {
      const cards = this.packet(e['mates together in']).map(({ card }) => card);
      return cards.findIndex((card, index) => card !== '-' && cards[index + 1] === mate(card)) + 1;
    }
    return undefined;
  }

  private value(given: unknown): Value {
    if (typeof given === 'number') return given;
    if (typeof given === 'string') return this.names[given];
    const e = given as Json;
    const card = (field: string): string => this.value(e[field]) as string;
    const list = (field: string): number[] => (e[field] as unknown[]).map((each) => this.number(each));
    const counted = (field: string): [number, number] => {
      const [value, count] = list(field);
      if (count < 1) throw new CannotBeDone();
      return [value, count];
    };
    if ('card' in e) return e['card'] as string;
    if ('size of' in e) return this.packet(e['size of']).length;
    if ('card at' in e) return this.at(e['of'], this.number(e['card at'])).card;
    if ('top of' in e) return this.at(e['top of'], 1).card;
    if ('face of' in e) return this.at(e['face of'], this.packet(e['face of']).length).card;
    if ('place of' in e) {
      const sought = card('place of');
      return this.packet(e['in']).findIndex((each) => each.card === sought) + 1;
    }
    if ('face up in' in e) return this.packet(e['face up in']).filter(({ up }) => up).length;
    if ('rank of' in e) return isPlain(card('rank of')) ? RANKS.indexOf(card('rank of')[0]) + 1 : 0;
    if ('suit of' in e) return isPlain(card('suit of')) ? SUITS.indexOf(card('suit of')[1]) : -1;
    if ('colour of' in e)
      return isPlain(card('colour of')) ? Number('DH'.includes(card('colour of')[1])) : -1;
    if ('mate of' in e) return mate(card('mate of'));
    if ('rank from' in e) {
      const [a, b] = [card('rank from'), card('suit from')];
      if (!isPlain(a) || !isPlain(b)) throw new CannotBeDone();
      return a[0] + b[1];
    }
    const orders = (this.procedure['orders'] ?? {}) as Record<string, string[]>;
    if ('stack number of' in e) {
      const sought = card('stack number of');
      return sought === '-' ? 0 : orders[e['in'] as string].indexOf(sought) + 1;
    }
    if ('card with stack number' in e) {
      const found = orders[e['in'] as string][this.number(e['card with stack number']) - 1] as
        string | undefined;
      if (found === undefined) throw new CannotBeDone();
      return found;
    }
    if ('sum' in e) return list('sum').reduce((a, b) => a + b, 0);
    if ('difference' in e) return list('difference').reduce((a, b) => a - b);
    if ('product' in e) return list('product').reduce((a, b) => a * b, 1);
    if ('remainder' in e) {
      const [value, count] = counted('remainder');
      return ((value % count) + count) % count;
    }
    if ('around' in e) {
      const [value, count] = counted('around');
      return ((((value - 1) % count) + count) % count) + 1;
    }
    if ('digit sum' in e) {
      const value = this.number(e['digit sum']);
      if (value < 0) throw new CannotBeDone();
      return `${value}`.split('').reduce((sum, digit) => sum + Number(digit), 0);
    }
    if ('whether' in e) return Number(this.holds(e['whether'] as Json));
    const seen = this.throughFaces(e);
    if (seen !== undefined) return seen;
    if ('least' in e) return Math.min(...list('least'));
    if ('most' in e) return Math.max(...list('most'));
    throw new Error(`no expression: ${JSON.stringify(given)}`);
  }

  private holds(c: Json): boolean {
    const pair = (field: string): [Value, Value] => {
      const [a, b] = (c[field] as unknown[]).map((each) => this.value(each));
      return [a, b];
    };
    if ('equal' in c) {
      const [a, b] = pair('equal');
      return a === b;
    }
    if ('less' in c) {
      const [a, b] = pair('less');
      return a < b;
    }
    if ('at most' in c) {
      const [a, b] = pair('at most');
      return a <= b;
    }
    if ('face up' in c) return this.at(c['of'], this.number(c['face up'])).up;
    if ('not' in c) return !this.holds(c['not'] as Json);
    if ('all' in c) return (c['all'] as Json[]).every((each) => this.holds(each));
    return (c['any'] as Json[]).some((each) => this.holds(each));
  }

  run(steps: readonly Json[], above = ''): void {
    steps.forEach((step, index) => {
      const path = `${above}${index + 1}`;
      try {
        this.step(step, path);
      } catch (error) {
        if (error instanceof CannotBeDone) throw new Ended('cannot be done', path);
        throw error;
      }
    });
  }

  private off(packet: unknown, count: number): Lying[] {
    const from = this.packet(packet);
    if (count < 0 || count > from.length) throw new CannotBeDone();
    return from.splice(0, count);
  }

  private choice(step: Json, path: string, low: number, high: number): number {
    if (low > high) throw new CannotBeDone();
    const value = this.choose(low, high);
    const likely = step['likely'] as Json | undefined;
    const weight = (each: number): number => {
      if (!likely) return 1;
      const table = likely['table'] as Record<string, number> | undefined;
      if (table) return table[`${each}`] ?? 0;
      return Math.exp(-(((each - (likely['around'] as number)) / (likely['within'] as number)) ** 2) / 2);
    };
    let all = 0;
    for (let each = low; each <= high; each++) all += weight(each);
    this.weight *= all === 0 ? 0 : weight(value) / all;
    this.names[step['name'] as string] = value;
    this.choices.push([step['name'] as string, value]);
    this.made.push({ path, value });
    return value;
  }

  /** Every order, the cards that lay higher first; cards alike are not told apart. */
  private mix(s: Json): void {
    const number = (field: string, otherwise: number): number =>
      s[field] === undefined ? otherwise : this.number(s[field]);
    const [times, top, face] = [number('times', 1), number('keep top', 0), number('keep face', 0)];
    const cards = this.packet(s['packet']);
    if (times < 0 || times > 200 || top < 0 || face < 0 || top + face > cards.length)
      throw new CannotBeDone();
    const left = cards.splice(top, cards.length - top - face);
    const mixed = times === 0 ? left.splice(0) : [];
    const alike = (a: Lying, b: Lying): boolean => a.card === b.card && a.up === b.up;
    while (left.length > 0) {
      const kinds = left.filter((each, index) => left.findIndex((other) => alike(each, other)) === index);
      const kind = kinds[this.choose(0, kinds.length - 1)];
      this.weight *= left.filter((each) => alike(each, kind)).length / left.length;
      mixed.push(
        ...left.splice(
          left.findIndex((each) => alike(each, kind)),
          1,
        ),
      );
    }
    cards.splice(top, 0, ...mixed);
    this.orders.push(cards.map(({ card }) => card));
  }

  private step(s: Json, path: string): void {
    switch (s['do']) {
      case 'choose':
        this.choice(s, path, this.number(s['from']), this.number(s['to']));
        return;
      case 'choose one': {
        const options = s['of'] as Json[];
        const value = this.choice(s, path, 1, options.length);
        this.run(options[value - 1]['steps'] as Json[], `${path}.${value}.`);
        return;
      }
      case 'cut':
        this.packet(s['packet']).push(...this.off(s['packet'], this.number(s['count'])));
        return;
      case 'lift':
        this.packet(s['onto']).unshift(...this.off(s['from'], this.number(s['count'])));
        return;
      case 'deal':
        this.packet(s['onto']).unshift(...this.off(s['from'], this.number(s['count'])).reverse());
        return;
      case 'deal round': {
        const onto = s['onto'] as string[];
        const count = s['count'] === undefined ? this.packet(s['from']).length : this.number(s['count']);
        this.off(s['from'], count).forEach((card, index) =>
          this.packet(onto[index % onto.length]).unshift(card),
        );
        return;
      }
      case 'put': {
        const moved = this.off(s['packet'], this.packet(s['packet']).length);
        if (s['where'] === 'on') this.packet(s['other']).unshift(...moved);
        else this.packet(s['other']).push(...moved);
        return;
      }
      case 'turn':
        this.packets[s['packet'] as string] = this.packet(s['packet'])
          .map(({ card, up }) => ({ card, up: !up }))
          .reverse();
        return;
      case 'turn card': {
        const place = this.number(s['place']);
        const { card, up } = this.at(s['packet'], place);
        this.packet(s['packet'])[place - 1] = { card, up: !up };
        return;
      }
      case 'take': {
        const sought = s['card'] === undefined ? undefined : this.value(s['card']);
        const place =
          sought === undefined
            ? this.number(s['place'])
            : this.packet(s['from']).findIndex((each) => each.card === sought) + 1;
        const card = this.at(s['from'], place);
        this.packet(s['from']).splice(place - 1, 1);
        this.packet(s['onto']).unshift(card);
        return;
      }
      case 'insert': {
        const place = this.number(s['place']);
        const into = this.packet(s['into']);
        if (place < 1 || place > into.length + 1) throw new CannotBeDone();
        into.splice(place - 1, 0, ...this.off(s['packet'], 1));
        return;
      }
      case 'weave':
      case 'unweave':
        this.weave(s);
        return;
      case 'mix':
        this.mix(s);
        return;
      case 'see':
      case 'work out':
        this.names[s['name'] as string] = this.value(s['what']);
        return;
      case 'if':
        if (this.holds(s['that'] as Json)) this.run(s['then'] as Json[], `${path}.1.`);
        else this.run((s['otherwise'] ?? []) as Json[], `${path}.2.`);
        return;
      case 'repeat': {
        const most = s['times'] === undefined ? ((s['most'] ?? 200) as number) : this.number(s['times']);
        if (most < 0 || most > 200) throw new CannotBeDone();
        for (let round = 0; ; round++) {
          if (s['while'] === undefined ? round === most : !this.holds(s['while'] as Json)) return;
          if (round === most) throw new CannotBeDone();
          this.run(s['steps'] as Json[], `${path}.1.`);
        }
      }
      case 'require':
        if (!this.holds(s['that'] as Json)) throw new Ended('left out', path);
        return;
      case 'claim':
        if (!this.holds(s['that'] as Json)) throw new Ended('claim', path);
        return;
      case 'claim known': {
        const value = this.value(s['what']);
        const sights = [...this.known]
          .filter((name) => name in this.names)
          .map((name) => [name, this.names[name]]);
        this.claims.push({ at: path, sights: JSON.stringify(sights.sort()), value });
        return;
      }
      case 'out':
        throw new Ended('out', path);
      default:
        throw new Error(`no step: ${String(s['do'])}`);
    }
  }

  private weave({ packet, kind, do: how }: Json): void {
    const cards = this.packet(packet);
    const size = cards.length;
    if (size < 2) throw new CannotBeDone();
    const upper = kind === 'out' ? Math.ceil(size / 2) : Math.floor(size / 2);
    const order: number[] = [];
    const [halves, first] = [
      [[...Array(upper).keys()], [...Array(size - upper).keys()].map((i) => i + upper)],
      kind === 'out' ? 0 : 1,
    ];
    for (let turn = first; order.length < size; turn++) order.push(halves[turn % 2].shift() as number);
    this.packets[packet as string] =
      how === 'weave'
        ? order.map((from) => cards[from])
        : cards.map((_, index) => cards[order.indexOf(index)]);
  }
}

/** The names that the performer comes to know: told, chosen, seen or worked out by them. */
const knownNames = (steps: readonly Json[], version: unknown): string[] =>
  steps.flatMap((step) => {
    const { do: what, name, by, told } = step;
    const uncounted = version === 2 && step['uncounted'] === true;
    const mine =
      what === 'choose' || what === 'choose one'
        ? told === true || (by !== undefined && by !== 'helper' && !uncounted)
        : (what === 'see' || what === 'work out') && by !== 'helper';
    const inside = [
      step['then'],
      step['otherwise'],
      what === 'out' ? [] : step['steps'],
      ...((what === 'choose one' ? step['of'] : []) as Json[]).map((option) => option['steps']),
    ];
    return [
      ...(mine ? [name as string] : []),
      ...inside.flatMap((each) => knownNames((each ?? []) as Json[], version)),
    ];
  });

type How = 'held' | 'out' | 'claim' | 'left out' | 'cannot be done' | 'not known';
interface End {
  readonly world: World;
  readonly how: How;
  readonly at: string;
}

const numbersOf = (path: string): number[] => path.split('.').map(Number);
/** Which comes first where two first differ; else the shorter one. */
const inTurn = (a: readonly number[], b: readonly number[]): number => {
  const at = a.findIndex((each, index) => each !== b.at(index));
  return at < 0 ? a.length - b.length : at < b.length ? a[at] - b[at] : 1;
};
const byPath = (a: string, b: string): number => inTurn(numbersOf(a), numbersOf(b));
const byChoices = (a: World, b: World): number => {
  for (let index = 0; index < Math.min(a.made.length, b.made.length); index++) {
    const [one, other] = [a.made[index], b.made[index]];
    const order = byPath(one.path, other.path) || one.value - other.value;
    if (order !== 0) return order;
  }
  return a.made.length - b.made.length;
};

/** Every world from the beginning; undefined where there are more than so many. */
const everyWorld = (procedure: Json, most: number): End[] | undefined => {
  const steps = procedure['steps'] as Json[];
  const known = new Set(knownNames(steps, procedure['version']));
  const ends: End[] = [];
  let script: { value: number; high: number }[] | undefined = [];
  while (script) {
    if (ends.length === most) return undefined;
    const asked: { value: number; high: number }[] = [];
    const along: { value: number; high: number }[] = script;
    const world = new World(procedure, known, (low, high) => {
      const next = along.at(asked.length) ?? { value: low, high };
      asked.push(next);
      return next.value;
    });
    let end: { how: How; at: string } = { how: 'held', at: '' };
    try {
      world.run(steps);
    } catch (error) {
      if (!(error instanceof Ended)) throw error;
      end = error;
    }
    ends.push({ world, how: end.how, at: end.at });
    while (asked.length > 0 && asked[asked.length - 1].value === asked[asked.length - 1].high) asked.pop();
    const last = asked.pop();
    script = last && [...asked, { value: last.value + 1, high: last.high }];
  }
  return ends;
};

/** What was claimed to be known and is not makes worlds fail that would have ended well. */
const judge = (ends: readonly End[]): End[] => {
  const values = new Map<string, Set<Value>>();
  const keyOf = ({ at, sights }: World['claims'][number]): string => `${at} ${sights}`;
  for (const { world } of ends)
    for (const claim of world.claims)
      values.set(keyOf(claim), (values.get(keyOf(claim)) ?? new Set()).add(claim.value));
  return ends.map((end) => {
    const missed = end.world.claims.find((claim) => (values.get(keyOf(claim))?.size ?? 0) > 1);
    return missed && (end.how === 'held' || end.how === 'out')
      ? { ...end, how: 'not known', at: missed.at }
      : end;
  });
};

const fieldOf = (how: How): 'held' | 'outs' | 'failed' =>
  how === 'held' ? 'held' : how === 'out' ? 'outs' : 'failed';

/** Every combination of choices, over every order of what is mixed; at most so many worlds. */
export const proveSlowly = (procedure: unknown, most: number): SlowProof | undefined => {
  const worlds = everyWorld(procedure as Json, most);
  if (!worlds) return undefined;
  const ends = judge(worlds);
  const counts = { held: 0, outs: 0, failed: 0, leftOut: 0 };
  const weights = { held: 0, outs: 0, failed: 0 };
  const failures: SlowFailure[] = [];
  for (const { world, how } of ends) if (how !== 'left out') weights[fieldOf(how)] += world.weight;
  const cases = new Map<string, End[]>();
  for (const end of ends) {
    const key = JSON.stringify(end.world.made);
    cases.set(key, [...(cases.get(key) ?? []), end]);
  }
  const inOrder = [...cases.values()].sort((a, b) => byChoices(a[0].world, b[0].world));
  for (const alike of inOrder) {
    const there = alike.filter(({ how }) => how !== 'left out');
    if (there.length === 0) {
      counts.leftOut++;
      continue;
    }
    const failed = there.filter(({ how }) => fieldOf(how) === 'failed');
    if (failed.length === 0) {
      counts[there.some(({ how }) => how === 'out') ? 'outs' : 'held']++;
      continue;
    }
    counts.failed++;
    // Of one place and reason the first world has the first order, for so they are run.
    const [{ world, at, how }] = failed.sort(
      (a, b) => byPath(a.at, b.at) || WHYS.indexOf(a.how) - WHYS.indexOf(b.how),
    );
    const { choices, orders } = world;
    failures.push({ choices, at, why: how, ...(orders.length > 0 && { orders }) });
  }
  const cards = new Set(ends.map(({ world }) => Object.values(world.packets).flat().length));
  return { ...counts, failures, weights, cards };
};

const WHYS: readonly How[] = ['cannot be done', 'claim', 'not known'];
