import { Kind } from '../procedure/form';
import { Condition, Expression, Procedure, Step, StepOf } from '../procedure/procedure';
import { givesKnown, kindsOf, namesIn, packetsOf } from '../procedure/walk';
import { stepAt, Path } from './editSteps';
import { tradeWordsFor } from './tradeWords';

/** What a new step is made from: what there is to name at its place. */
export interface Surroundings {
  /** Every packet, the first being the one that most is done to. */
  readonly packets: readonly string[];
  readonly orders: readonly string[];
  /** Every name so far, the latest last. */
  readonly names: readonly string[];
  /** The latest number and card that were given, and the latest card that the performer knows. */
  readonly number: Expression;
  readonly card: Expression;
}

/** A beginning of a sentence, and the steps that it adds. */
export interface Offered {
  readonly group: Group;
  readonly words: string;
  make(around: Surroundings): readonly Step[];
}

export const GROUPS = [
  'they choose',
  'cards move',
  'I see',
  'I work out',
  'it branches',
  'it must be so',
] as const;
export type Group = (typeof GROUPS)[number];

/** The steps before a path, branch by branch from the outside. */
const allBefore = (steps: readonly Step[], path: Path): readonly Step[] =>
  path.flatMap((_, index) => (index % 2 === 0 ? stepsBefore(steps, path.slice(0, index + 1)) : []));

export const namesBefore = (procedure: Procedure, path: Path): ReadonlyMap<string, Kind | undefined> => {
  const kinds = kindsOf(procedure);
  const names = [...Object.keys(procedure.givens ?? {}), ...namesIn(allBefore(procedure.steps, path))];
  return new Map(names.map((name) => [name, kinds.get(name)]));
};

export const surroundings = (procedure: Procedure, path: Path): Surroundings => {
  const { steps, packets = {}, orders = {}, givens = {} } = procedure;
  const all = [...new Set([...Object.keys(packets), ...packetsOf(steps)])];
  const before = allBefore(steps, path);
  const kinds = kindsOf(procedure);
  const given = before.flatMap((step) => ('name' in step ? [step] : []));
  const latest = (kind: 'number' | 'card', known = false): string | undefined =>
    given.filter((step) => kinds.get(step.name) === kind && (!known || givesKnown(step))).at(-1)?.name;
  return {
    ...{ packets: all.length > 0 ? all : ['pack'], orders: Object.keys(orders) },
    names: [...new Set([...Object.keys(givens), ...namesIn(steps)])],
    number: latest('number') ?? 1,
    card: latest('card', true) ?? latest('card') ?? { card: 'AC' },
  };
};

const stepsBefore = (steps: readonly Step[], path: Path): readonly Step[] => {
  const number = path[path.length - 1];
  return Array.from({ length: number - 1 }, (_, index) =>
    stepAt(steps, [...path.slice(0, -1), index + 1]),
  ).filter((step) => step !== undefined);
};

const COUNTED = ['', 'second ', 'third ', 'fourth ', 'fifth ', 'sixth '];

/** A name that nothing has yet: `cut`, `second cut`, `third cut` … */
const unused = (base: string, { names }: Surroundings): string => {
  const found = COUNTED.map((count) => count + base).find((name) => !names.includes(name));
  return found ?? `${base} ${names.length + 1}`;
};

/** The packet that most is done to, and another that is not it. */
const packet = ({ packets }: Surroundings): string => packets[0];
const other = ({ packets }: Surroundings): string =>
  packets.slice(1).find((name) => name === 'hand' || name === 'table') ?? packets.at(1) ?? 'hand';

const offered = (group: Group, words: string, make: Offered['make']): Offered => ({ group, words, make });

const HELPER = { by: 'helper' } as const;

const movement = (words: string, make: (around: Surroundings) => Step): readonly Offered[] => [
  offered('cards move', `they ${words}`, (around) => [{ ...make(around), ...HELPER }]),
  offered('cards move', `I ${words}`, (around) => [make(around)]),
];

const seen = (
  words: string,
  who: 'I' | 'they' | 'all',
  what: (around: Surroundings) => Expression,
): Offered =>
  offered('I see', `${who} see ${words}`, (around) => [
    {
      ...{ do: 'see', what: what(around), name: unused(who === 'they' ? 'their card' : 'seen', around) },
      ...(who === 'I' ? {} : { by: who === 'they' ? ('helper' as const) : ('all' as const) }),
    },
  ]);

/** *These* cards: an order, where there is one. */
const these = ({ orders, card }: Surroundings): unknown => (orders.length > 0 ? orders[0] : [card]);

const chosen = (name: string, around: Surroundings, most: Expression): StepOf<'choose'> => ({
  ...{ do: 'choose', name: unused(name, around), from: 1, to: most },
});
const lessOne = (name: string): Expression => ({ difference: [{ 'size of': name }, 1] });
const condition = ({ number }: Surroundings): Condition => ({ less: [0, number] });

/** Every beginning of a sentence. To add one: a row. */
export const PALETTE: readonly Offered[] = [
  offered('they choose', 'they cut off a packet', (around) => {
    const choice = chosen('cut', around, lessOne(packet(around)));
    return [
      choice,
      {
        ...{ do: 'lift', count: choice.name },
        ...{ from: packet(around), onto: other(around), ...HELPER },
      },
    ];
  }),
  offered('they choose', 'they cut and complete the cut', (around) => {
    const choice = chosen('cut', around, lessOne(packet(around)));
    return [choice, { do: 'cut', packet: packet(around), count: choice.name, ...HELPER }];
  }),
  offered('they choose', 'they take any card and look at it', (around) => {
    const place = chosen('taken', around, { 'size of': packet(around) });
    return [
      place,
      {
        ...{ do: 'see', what: { 'card at': place.name, of: packet(around) } },
        ...{ name: unused('their card', around), ...HELPER },
      },
      { do: 'take', place: place.name, from: packet(around), onto: other(around), ...HELPER },
    ];
  }),
  offered('they choose', 'they deal and stop when they like', (around) => {
    const stop = chosen('stopped at', around, lessOne(packet(around)));
    return [stop, { do: 'deal', count: stop.name, from: packet(around), onto: 'table', ...HELPER }];
  }),
  offered('they choose', 'they choose a number', (around) => [
    chosen('number', around, { 'size of': packet(around) }),
  ]),
  offered('they choose', 'they name a number aloud', (around) => [
    { ...chosen('number', around, { 'size of': packet(around) }), told: true },
  ]),
  offered('they choose', 'they choose one of several', (around) => [
    {
      ...{ do: 'choose one', name: unused('way', around), told: true },
      of: [
        { words: 'The one.', steps: [] },
        { words: 'The other.', steps: [] },
      ],
    },
  ]),
  offered('they choose', 'I choose a number', (around) => [
    { ...chosen('number', around, { 'size of': packet(around) }), by: 'performer' },
  ]),
  offered('they choose', 'I take about so many, uncounted', (around) => {
    const some = {
      ...chosen('some', around, lessOne(packet(around))),
      by: 'performer',
      uncounted: true,
    } as const;
    return [some, { do: 'lift', count: some.name, from: packet(around), onto: other(around), felt: true }];
  }),
  ...movement('lift cards', (around) => ({
    ...{ do: 'lift', count: around.number, from: packet(around), onto: other(around) },
  })),
  ...movement('deal cards', (around) => ({
    ...{ do: 'deal', count: around.number, from: packet(around), onto: other(around) },
  })),
  ...movement('deal round into heaps', (around) => ({
    ...{ do: 'deal round', from: packet(around), onto: ['first heap', 'second heap'] },
  })),
  ...movement('put a packet on another', (around) => ({
    ...{ do: 'put', packet: other(around), where: 'on', other: packet(around) },
  })),
  ...movement('put a packet under another', (around) => ({
    ...{ do: 'put', packet: other(around), where: 'under', other: packet(around) },
  })),
  ...movement('turn a packet over', (around) => ({ do: 'turn', packet: other(around) })),
  ...movement('turn one card over', (around) => ({ do: 'turn card', packet: packet(around), place: 1 })),
  ...movement('cut a packet to its bottom', (around) => ({
    ...{ do: 'cut', packet: packet(around), count: around.number },
  })),
  ...movement('take a card out', (around) => ({
    ...{ do: 'take', place: around.number, from: packet(around), onto: other(around) },
  })),
  ...movement('take a card out by its face', (around) => ({
    ...{ do: 'take', card: around.card, from: packet(around), onto: other(around) },
  })),
  offered('cards move', 'I give them the top card, whatever they say', (around) => [
    { do: 'lift', count: 1, from: packet(around), onto: 'their hand' },
  ]),
  offered('cards move', 'I put a card into my pocket', (around) => [
    { do: 'take', place: 1, from: packet(around), onto: 'pocket' },
  ]),
  offered('cards move', 'I cut where I feel it', (around) => [
    { do: 'cut', packet: packet(around), count: around.number, felt: true },
  ]),
  ...(['they', 'I'] as const).map((who) =>
    offered('cards move', `${who} let two packets change places`, (around) => {
      const by = who === 'they' ? HELPER : {};
      return [
        { do: 'put', packet: packet(around), where: 'on', other: 'aside', ...by },
        { do: 'put', packet: other(around), where: 'on', other: packet(around), ...by },
        { do: 'put', packet: 'aside', where: 'on', other: other(around), ...by },
      ];
    }),
  ),
  ...movement('put a card in', (around) => ({
    ...{ do: 'insert', packet: other(around), into: packet(around), place: 1 },
  })),
  ...movement('weave a packet', (around) => ({ do: 'weave', packet: packet(around), kind: 'out' })),
  ...movement('take a weave back', (around) => ({ do: 'unweave', packet: packet(around), kind: 'out' })),
  ...movement('riffle', (around) => ({ do: 'riffle', packet: packet(around) })),
  ...movement('shuffle overhand', (around) => ({ do: 'overhand', packet: packet(around) })),
  ...movement('mix', (around) => ({ do: 'mix', packet: packet(around) })),
  seen('the top card', 'I', (around) => ({ 'top of': packet(around) })),
  seen('the face card', 'I', (around) => ({ 'face of': packet(around) })),
  seen('the card at a place', 'I', (around) => ({ 'card at': 1, of: packet(around) })),
  seen('how many cards are in a packet', 'I', (around) => ({ 'size of': other(around) })),
  seen('how many lie face up', 'I', (around) => ({ 'face up in': packet(around) })),
  seen('how many of some cards are in a packet', 'I', (around) => ({
    ...{ 'how many of': these(around), in: packet(around) },
  })),
  seen('which of some cards is missing', 'I', (around) => ({
    ...{ 'first of': these(around), 'not in': packet(around) },
  })),
  seen('the first of some cards, looking through', 'I', (around) => ({
    ...{ 'first among': these(around), in: packet(around), towards: 'face' },
  })),
  seen('the next card below one, looking through', 'I', (around) => ({
    ...{ 'next after': around.card, in: packet(around), towards: 'face' },
  })),
  seen('where two mates lie together', 'I', (around) => ({ 'mates together in': packet(around) })),
  offered('I see', 'they answer yes or no', (around) => [
    {
      ...{ do: 'see', what: { whether: condition(around) } },
      ...{ name: unused('answer', around), by: 'all' as const },
    },
  ]),
  seen('the top card', 'they', (around) => ({ 'top of': packet(around) })),
  seen('the face card', 'they', (around) => ({ 'face of': other(around) })),
  seen('the top card', 'all', (around) => ({ 'top of': packet(around) })),
  offered('I work out', 'I work out a number', (around) => [
    { do: 'work out', name: unused('result', around), what: around.number },
  ]),
  offered('I work out', 'I work out a stack number', (around) => [
    {
      ...{ do: 'work out', name: unused('stack number', around) },
      what: around.orders.length > 0 ? { 'stack number of': around.card, in: around.orders[0] } : 1,
    },
  ]),
  offered('I work out', 'I work out a card', (around) => [
    {
      ...{ do: 'work out', name: unused('named', around) },
      what:
        around.orders.length > 0
          ? { 'card with stack number': around.number, in: around.orders[0] }
          : { 'mate of': around.card },
    },
  ]),
  offered('I work out', 'they work out a number', (around) => [
    { do: 'work out', name: unused('result', around), what: around.number, ...HELPER },
  ]),
  offered('it branches', 'if', (around) => [{ do: 'if', that: condition(around), then: [] }]),
  offered('it branches', 'if not, an out', (around) => [
    { do: 'if', that: condition(around), then: [{ do: 'out', words: 'What you do then.' }] },
  ]),
  offered('it branches', 'repeat so many times', () => [{ do: 'repeat', times: 2, steps: [] }]),
  offered('it branches', 'they repeat while', (around) => [
    { do: 'repeat', while: { less: [0, { 'size of': packet(around) }] }, steps: [], ...HELPER },
  ]),
  offered('it branches', 'repeat while', (around) => [
    { do: 'repeat', while: { less: [0, { 'size of': packet(around) }] }, steps: [] },
  ]),
  offered('it branches', 'out', () => [{ do: 'out', words: 'What you do then.' }]),
  offered('it branches', 'out, and clear up', () => [{ do: 'out', words: 'What you do then.', steps: [] }]),
  offered('it must be so', 'it must be so that', (around) => [
    { do: 'claim', that: { equal: [{ 'top of': packet(around) }, around.card] } },
  ]),
  offered('it must be so', 'I must know', (around) => [{ do: 'claim known', what: around.card }]),
  offered('it must be so', 'they were asked so that', (around) => [
    { do: 'require', that: condition(around) },
  ]),
];

const WORDS = /[^\s,]+/g;

/** Whether words begin a sentence: each is the beginning of one of its words, in their order. */
const begins = (typed: readonly string[], sentence: readonly string[]): boolean => {
  let at = 0;
  for (const word of typed) {
    while (at < sentence.length && !sentence[at].startsWith(word)) at++;
    if (at++ >= sentence.length) return false;
  }
  return true;
};

const wordsIn = (text: string): string[] =>
  (text.toLowerCase().match(WORDS) ?? []).map((word) => (word === 'you' ? 'i' : word));

/** Beginnings that a word of the trade leads to, and those that fit the other words. */
const byTradeWord = (typed: readonly string[]): readonly Offered[] => {
  const at = typed.findIndex((word) => tradeWordsFor(word).length > 0);
  if (at < 0) return [];
  const others = typed.filter((_, index) => index !== at);
  const sentences = tradeWordsFor(typed[at]);
  const meant = sentences.flatMap((sentence) => PALETTE.filter(({ words }) => words === sentence));
  const fitting = meant.filter(({ words }) => begins(others, wordsIn(words)));
  return fitting.length > 0 ? fitting : meant;
};

/** The sentences that a text may be the beginning of, or that its words of the trade mean; the nearest come first. */
export const offersFor = (text: string): readonly Offered[] => {
  const typed = wordsIn(text);
  const plain = typed.join(' ');
  const found = PALETTE.filter(({ words }) => begins(typed, wordsIn(words)));
  const rank = ({ words }: Offered): number => {
    const sentence = wordsIn(words).join(' ');
    return sentence.startsWith(plain) ? 0 : sentence.replace(/^(they|i|all) /, '').startsWith(plain) ? 1 : 2;
  };
  return [...new Set([...found].sort((a, b) => rank(a) - rank(b)).concat(byTradeWord(typed)))];
};
