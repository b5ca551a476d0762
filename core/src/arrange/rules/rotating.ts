import { Card, cardOf, FULL_PACK, isCard, Rank, Suit } from '../../deck/card';
import { mod } from '../../deck/mod';
import { parseCard, showCard, showSuit } from '../../deck/notation';
import { CARD, whole } from '../../deck/shape';
import { FOUR_SUITS, HeadRecipe, OrderRule, refuse, SUITS_FIELD, suitsIn, suitsProblem } from './orderRule';
import { Parts, partsFrom, roundsExample, roundsSteps, stackNumberOf, suitOfCard } from './rounds';

/** Ranks advance by a step while the suits go round: from the first card every order of this kind is full. */
export interface Rotating {
  readonly kind: 'rotating';
  readonly first: Card;
  /** 1 to 12. */
  readonly step: number;
  /** The four suits in the order in which they go round; it may begin anywhere. */
  readonly suits: readonly Suit[];
}

/** The number that a step must be multiplied by to give 1, counting round 13. */
const inverse = (step: number): number => {
  for (let candidate = 1; candidate < 13; candidate++) if (mod(step * candidate, 13) === 1) return candidate;
  throw new Error(`no inverse of ${step}`);
};

const suitsFrom = (suits: readonly Suit[], first: Suit): Suit[] => {
  const start = suits.indexOf(first);
  return [...suits.slice(start), ...suits.slice(0, start)];
};

const partsOf = ({ first, step, suits }: Rotating, card: Card): Parts =>
  partsFrom(
    mod(((card % 13) - (first % 13)) * inverse(step), 13),
    suitsFrom(suits, suitOfCard(first)).indexOf(suitOfCard(card)),
  );

/** How to compute stack numbers of a rotating order in the head, with one card as an example. */
export const rotatingRecipe = (rule: Rotating, card: Card): HeadRecipe => {
  const { first, step, suits } = rule;
  const [firstRank, times] = [(first % 13) + 1, inverse(step)];
  const parts = partsOf(rule, card);
  return {
    steps: [
      `From the rank take ${firstRank}${times === 1 ? '' : `, times ${times}`}, counting round 13 (J 11, Q 12, K 13).`,
      ...roundsSteps(suitsFrom(suits, suitOfCard(first))),
      `Back: the stack number less 1, times ${step}, plus ${firstRank}, round 13 is the rank; less 1, round 4 is the suit.`,
    ],
    example: roundsExample(
      parts,
      suitOfCard(card),
      `${showCard(card)}: (${(card % 13) + 1} − ${firstRank}) × ${times} round 13 = ${parts.base}`,
    ),
  };
};

const STEP_REMEDY = 'Use a whole number from 1 to 12.';

export const ROTATING: OrderRule<Rotating> = {
  name: 'Rotating',
  says: 'The rank goes up by a step, the suits go round.',
  shape: { first: CARD, step: whole(1, 12), suits: FOUR_SUITS },
  fields: [
    { name: 'first', label: 'First card', start: '9D' },
    { name: 'step', label: 'Step, 1 to 12', start: '5' },
    SUITS_FIELD,
  ],
  read: ({ first, step, suits }) => {
    const card = parseCard(first);
    if (card === undefined) return refuse('The first card cannot be read.', 'Write it as 9D.');
    const written = step.trim();
    if (written === '') return refuse('The step is missing.', STEP_REMEDY);
    if (!/^\d+$/.test(written)) return refuse(`“${written.slice(0, 20)}” is not a step.`, STEP_REMEDY);
    return {
      ok: true,
      rule: { kind: 'rotating', first: card, step: Number(written), suits: suitsIn(suits) },
    };
  },
  order: ({ first, step, suits }) => {
    const problem = suitsProblem(suits);
    if (problem) return problem;
    if (!Number.isInteger(step) || step < 1 || step > 12) return refuse(`The step is ${step}.`, STEP_REMEDY);
    if (!isCard(first)) return refuse('The first card is not a card.', 'Write it as 9D.');
    if (first >= FULL_PACK)
      return refuse(`${showCard(first)} has no rank to step from.`, 'Begin with another card.');
    const start = suits.indexOf(suitOfCard(first));
    const order = Array.from({ length: FULL_PACK }, (_, index) =>
      cardOf((mod((first % 13) + index * step, 13) + 1) as Rank, suits[(start + index) % 4]),
    );
    return { ok: true, order };
  },
  describe: ({ step, suits }) => `+${step} ${suits.map(showSuit).join('')}`,
  head: {
    stackNumber: (rule, card) => stackNumberOf(partsOf(rule, card)),
    recipe: rotatingRecipe,
  },
};
