import { deflateRawSync } from 'node:zlib';
import { TIDEMARK } from './enumeron';

/** A set of ten routines for tests, and a pack handled card by card beside it. */

type Json = Readonly<Record<string, unknown>>;

const procedure = (name: string, steps: readonly Json[]): Json => ({
  ...{ format: 'enumeron procedure', version: 2, name },
  packets: { pack: TIDEMARK },
  orders: { home: TIDEMARK },
  steps,
});

/** They cut in secret, and the face card tells where. */
const CUT = procedure('Cut and seen', [
  { do: 'choose', name: 'cut', from: 1, to: 51, says: 'Cut, and complete the cut.' },
  { do: 'cut', packet: 'pack', count: 'cut', by: 'helper' },
  { do: 'see', what: { 'face of': 'pack' }, name: 'key' },
  { do: 'work out', name: 'place', what: { 'stack number of': 'key', in: 'home' } },
  {
    do: 'claim',
    that: { equal: [{ 'card with stack number': 'place', in: 'home' }, 'key'] },
    words: 'You know the cut.',
  },
]);

/** They name a number, and so many are cut. */
const NAMED = procedure('A number named', [
  { do: 'choose', name: 'number', from: 1, to: 51, told: true, says: 'Any number.' },
  { do: 'cut', packet: 'pack', count: 'number' },
  { do: 'claim', that: { equal: [{ 'size of': 'pack' }, 52] }, words: 'So many were cut.' },
]);

/** One of three ways; the third ends in an out. */
const WAYS = procedure('One of three', [
  {
    ...{ do: 'choose one', name: 'way', told: true },
    of: [
      { words: 'They point at the left.', steps: [] },
      { words: 'They point at the right.', steps: [] },
      { words: 'They point at none.', steps: [{ do: 'out', words: 'Have them name it.' }] },
    ],
  },
  { do: 'claim', that: { equal: [{ 'size of': 'pack' }, 52] }, words: 'It is the one.' },
]);

/** The top card goes into the pocket. */
const POCKET = procedure('Into the pocket', [
  { do: 'lift', count: 1, from: 'pack', onto: 'pocket' },
  { do: 'claim', that: { equal: [{ 'size of': 'pocket' }, 1] }, words: 'It is in the pocket.' },
]);

const routine = (id: string, name: string, procedure_?: Json): Json => ({
  id,
  routine: {
    ...{
      name,
      minutes: 3,
      value: 1,
      props: '',
      says: [],
      outs: '',
      clearUp: '',
      notes: procedure_ ? '' : 'A story.',
    },
    ...{ setUp: 'none', clean: false, repeats: false, cautions: [] },
    packs: procedure_ ? { blue: { packet: 'pack', order: { name: 'Tidemark', cards: CARDS } } } : {},
  },
  ...(procedure_ && { procedure: procedure_ }),
});

/** Cards as they are stored: clubs from 0, then diamonds, hearts and spades, the ace first. */
const numberOf = (card: string): number => 13 * 'CDHS'.indexOf(card[1]) + 'A23456789TJQK'.indexOf(card[0]);
const CARDS = TIDEMARK.map(numberOf);

export const TEN: readonly (readonly [name: string, kind: 'cut' | 'named' | 'ways' | 'pocket' | 'notes'])[] =
  [
    ['First cut', 'cut'],
    ['Second, a number', 'named'],
    ['Third, three ways', 'ways'],
    ['Fourth, the pocket', 'pocket'],
    ['Fifth, a cut again', 'cut'],
    ['Sixth, a story', 'notes'],
    ['Seventh, left out', 'named'],
    ['Eighth, a number', 'named'],
    ['Ninth, a cut', 'cut'],
    ['Tenth, a story', 'notes'],
  ];

const KINDS = { cut: CUT, named: NAMED, ways: WAYS, pocket: POCKET, notes: undefined } as const;

/** The set as a file. */
const file = (): string =>
  JSON.stringify({
    ...{ format: 'enumeron set', version: 1 },
    set: {
      ...{
        name: 'Ten',
        order: TEN.map((_, index) => `r${index.toString()}`),
        spares: {},
        before: [],
        directly: [],
      },
      ...{ apart: [], must: [], choose: false },
    },
    routines: TEN.map(([name, kind], index) =>
      routine(`r${index.toString()}`, name, KINDS[kind] && { ...KINDS[kind], name }),
    ),
  });

/** The address under which it comes. */
export const TEN_ADDRESS = `/perform/shared#z1.${deflateRawSync(file()).toString('base64url')}`;

const SUITS: Readonly<Record<string, string>> = { C: '♣', D: '♦', H: '♥', S: '♠' };
export const shown = (card: string): string => `${card.startsWith('T') ? '10' : card[0]}${SUITS[card[1]]}`;

/** A pack in hand: what is done to it is done card by card. */
export class PackInHand {
  cards = [...TIDEMARK];
  pocket: string[] = [];

  cut(count: number): void {
    for (let card = 0; card < count; card++) this.cards.push(this.cards.shift() ?? '');
  }

  get face(): string {
    return this.cards[this.cards.length - 1];
  }

  /** The top card goes away. */
  takeTop(): void {
    this.pocket.push(this.cards.shift() ?? '');
  }

  /** What was in the pocket goes back below the card that it came from. */
  putBack(): void {
    for (const card of this.pocket) {
      const before = TIDEMARK[(TIDEMARK.indexOf(card) + 51) % 52];
      const at = this.cards.indexOf(before);
      // Below the face card is the top.
      if (at === this.cards.length - 1) this.cards.unshift(card);
      else this.cards.splice(at + 1, 0, card);
    }
    this.pocket = [];
  }

  /** The pack as the rail says it. */
  get says(): string {
    const turn = TIDEMARK.indexOf(this.cards[0]);
    const where = turn === 0 ? 'from the top' : `cut at ${turn.toString()}, ${shown(this.face)} at the face`;
    return `blue: ${where}, ${shown(this.cards[0])} on top`;
  }
}
