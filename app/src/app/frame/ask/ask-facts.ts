import {
  Card,
  formatCard,
  Order,
  parseCard,
  parseRank,
  placeOf,
  Rank,
  sayProblem,
  showCard,
  whyNotCard,
} from '@enumeron/core/deck';
import { countOfCards } from '@enumeron/core/moves';
import { describeFact, Fact, parseFact } from '@enumeron/core/file/reckon/facts/fact';

/** What a fact's words were read as: the fact, what must come next, or what is wrong. */
export type FactReading = { readonly fact: Fact } | { readonly hint: string } | { readonly problem: string };

/** A word that tells a fact: how it is used, and how its other words are read. */
export interface FactWord {
  readonly word: string;
  readonly usage: string;
  readonly says: string;
  /** Whether its words are cards, which may be gone on with. */
  readonly ofCards?: boolean;
  read(words: readonly string[], now: Order): FactReading;
}

/** Whether a text was meant for a card: a digit or a rank's letter, and a suit. */
export const isLikeCard = (text: string): boolean => /^(?:\d{1,3}|[atjqk])[cdhs♣♦♥♠♧♢♡♤]$/iu.test(text);

/** Why a text is no card, where one is asked for. Only what was meant for a card is called a bad one. */
export const notACard = (text: string): string => {
  const short = `“${text.slice(0, 20)}”`;
  return isLikeCard(text)
    ? `${short} is not a card. ${whyNotCard(text)}`
    : `I don’t know ${short}. A card goes there, such as 7D.`;
};

const readCard = (text: string, now: Order): Card | string => {
  const card = parseCard(text);
  if (card === undefined) return notACard(text);
  return placeOf(now, card) === undefined ? `${showCard(card)} is not in this pack.` : card;
};

/** So many cards, then the fact that they make. */
const cardsWord =
  (count: number, hint: string, make: (read: readonly Card[]) => Fact): FactWord['read'] =>
  (words, now) => {
    const read = words.map((text) => readCard(text, now));
    const wrong = read.find((each) => typeof each === 'string');
    if (wrong !== undefined) return { problem: wrong };
    if (words.length < count) return { hint };
    if (words.length > count) return { problem: `That is ${countOfCards(words.length)}; ${hint} is enough.` };
    return { fact: make(read as readonly Card[]) };
  };

/** At the top or the face the pack goes round: there the card at the other end is the neighbour. */
const gapWord: FactWord['read'] = (words, now) => {
  const [first, second] = words;
  const above = first === 'top' ? formatCard(now[now.length - 1]) : first;
  const below = second === 'face' ? formatCard(now[0]) : second;
  const both = cardsWord(2, 'the card above the gap and the one below', ([a, b]) => ({
    kind: 'gap',
    above: a,
    below: b,
    count: 1,
  }));
  return both(
    [above, below, ...words.slice(2)].filter((word) => (word as string | undefined) !== undefined),
    now,
  );
};

const HEAP = /^(\d{1,2}) of (\d{1,2})(?: gathered ([\d ]+))?$/;

const noHeap = (heap: number, heaps: number): string => {
  const choices = heaps <= 3 ? ['1', '1 or 2', '1, 2 or 3'][heaps - 1] : `1 to ${heaps.toString()}`;
  return heaps < 1
    ? 'There are no heaps. Say how many, such as heap 2 of 3.'
    : `There is no heap ${heap.toString()} of ${heaps.toString()}. Say ${choices}.`;
};

const heapWord: FactWord['read'] = (words) => {
  if (words.length < 3) return { hint: 'which heap, of how many, such as 2 of 3' };
  const found = HEAP.exec(words.join(' '));
  if (!found) return { problem: 'Write heap 2 of 3, or heap 2 of 3 gathered 2 1 3: from the top down.' };
  const [heap, heaps] = [Number(found[1]), Number(found[2])];
  if (heap < 1 || heap > heaps) return { problem: noHeap(heap, heaps) };
  const gather = (found[3] as string | undefined)?.trim().split(/ +/).map(Number);
  const outcome = parseFact({ kind: 'heap', heaps, heap, ...(gather ? { gather } : {}) });
  return outcome.ok ? { fact: outcome.fact } : { problem: sayProblem(outcome.problems[0]) };
};

const rankWords: FactWord['read'] = (words) => {
  const ranks = words.map(parseRank);
  const wrong = words.find((_, index) => ranks[index] === undefined);
  if (wrong !== undefined)
    return { problem: `“${wrong.slice(0, 20)}” is not a rank: A, 2 to 10, J, Q or K.` };
  if (words.length < 2) return { hint: 'the next two ranks, such as 4 10' };
  if (words.length > 2) return { problem: 'Two ranks are enough.' };
  const [first, second] = ranks as readonly Rank[];
  return { fact: { kind: 'next ranks', first, second } };
};

const shortWord: FactWord['read'] = (words) => {
  if (words.length === 0) return { hint: 'the rank of the short group' };
  const text = words.join(' ');
  const rank = parseRank(text);
  if (rank === undefined) return { problem: `“${text.slice(0, 20)}” is not a rank: A, 2 to 10, J, Q or K.` };
  return { fact: { kind: 'short group', rank } };
};

export const FACT_WORDS: readonly FactWord[] = [
  {
    word: 'lift',
    usage: 'lift 9S',
    says: 'a packet lifted, this card at its face',
    ofCards: true,
    read: cardsWord(1, 'the card at the packet’s face', ([face]) => ({ kind: 'lift', face })),
  },
  {
    word: 'cuts',
    usage: 'cuts JH 2D',
    says: 'two cuts, the second deeper, the card at each',
    ofCards: true,
    read: cardsWord(2, 'the card at the first cut and at the deeper one', ([first, second]) => ({
      kind: 'cuts',
      first,
      second,
    })),
  },
  {
    word: 'missing',
    usage: 'missing 4C',
    says: 'a card that is out',
    ofCards: true,
    read: cardsWord(1, 'the card that is out', ([card]) => ({ kind: 'missing', card })),
  },
  {
    word: 'gap',
    usage: 'gap 3H 9D',
    says: 'the cards above and below a gap of one; gap top 9D, gap KH face',
    ofCards: true,
    read: gapWord,
  },
  {
    word: 'heap',
    usage: 'heap 2 of 3',
    says: 'a card thought of fell to this heap; heap 2 of 3 gathered 2 1 3',
    read: heapWord,
  },
  { word: 'next', usage: 'next 4 10', says: 'the next two ranks at a cut', read: rankWords },
  {
    word: 'short',
    usage: 'short 7',
    says: 'a group of one rank is one card short',

    read: shortWord,
  },
  {
    word: 'somewhere',
    usage: 'somewhere',
    says: 'the pack was cut somewhere',
    read: (words) =>
      words.length === 0 ? { fact: { kind: 'cut' } } : { problem: 'Nothing goes after somewhere.' },
  },
];

/** A fact as the ask line says what Enter would do. */
export const sayFact = (fact: Fact): string => `Note: ${describeFact(fact)}`;
