import { Card } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order } from '../../deck/order';
import { Deduction, State, Tally } from './deduce';
import { describeFact, Fact } from './fact';
import { THOUGHT_OF } from './factSteps';
import { KnownFact, ReckonMark, Reckoning } from '../reckoning';

/** How many values are told one by one. */
const FEW = 6;

/** What a number may be: one value, a range without gaps, a few values, or how many. */
export const sayTally = (tally: Tally, show: (value: number) => string = String): string => {
  const values = tally.map(({ value }) => value).sort((a, b) => a - b);
  const [first, last] = [values[0], values[values.length - 1]];
  if (values.length === 0) return 'nothing';
  if (values.length === 1) return show(first);
  if (show === String && last - first === values.length - 1) return `${first} to ${last}`;
  return values.length <= FEW ? values.map(show).join(' ') : `one of ${values.length}`;
};

/** One state in a few words: what it makes of each thing that was left open, what is out, and the face card. */
export const describeState = ({ unknowns }: Deduction, { values, out, pack }: State): string =>
  [
    ...unknowns.map(
      ({ words, kind }, index) =>
        `${words.toLowerCase()} ${kind === 'card' ? showCard(values[index]) : values[index]}`,
    ),
    ...(out.length > 0 ? [`out ${out.map(showCard).join(' ')}`] : []),
    ...pack.slice(-1).map((face) => `face ${showCard(face)}`),
  ]
    .join(', ')
    .replace(/^./, (letter) => letter.toUpperCase());

const cardFact = (words: string, card: Card | undefined): KnownFact[] =>
  card === undefined ? [] : [{ words, card }];

/** Where the card thought of has come to lie, when both are certain. */
const thoughtAt = ({ unknowns, certain }: Deduction): KnownFact[] => {
  const [thought, ...others] = unknowns.find(({ name }) => name === THOUGHT_OF)?.tally ?? [];
  const place = others.length > 0 || !(thought as unknown) ? 0 : certain.indexOf(thought.value) + 1;
  return place === 0 ? [] : [{ words: 'It lies at', value: place }];
};

const knownOf = (deduction: Deduction): KnownFact[] => [
  { words: 'Ways it can lie', value: deduction.states },
  ...unknownsIn(deduction),
  ...thoughtAt(deduction),
  ...restIn(deduction),
];

const unknownsIn = ({ unknowns }: Deduction): KnownFact[] =>
  unknowns.map(({ words, kind, tally }): KnownFact =>
    kind === 'card' && tally.length === 1
      ? { words, card: tally[0].value }
      : { words, value: sayTally(tally, kind === 'card' ? showCard : String) },
  );

const restIn = ({ states, out, certain, size }: Deduction): KnownFact[] => [
  ...(out.length === 0
    ? []
    : out.every(({ count }) => count === states)
      ? out.map(({ value }) => ({ words: 'Out of the pack', card: value }))
      : [{ words: 'Out of the pack', value: sayTally(out, showCard) }]),
  ...cardFact('On top', certain.at(0)),
  ...cardFact('Second', certain.at(1)),
  ...cardFact('At the face', size === undefined ? undefined : certain[size - 1]),
];

const sayLook = ({ look, states, size }: Deduction): string => {
  if (!look) return `It can lie in ${states} ways, and no single look tells them apart`;
  const where =
    look.place === size ? 'the face' : look.place === 1 ? 'the top card' : `the card at ${look.place}`;
  const left = Math.round(look.left * 10) / 10;
  return `Glimpse ${where}: ${left <= 1 ? 'that settles it' : `about ${left} of ${states} states are left`}`;
};

const sayConflict = (facts: readonly Fact[], { conflict }: Deduction): string => {
  if (conflict.length === 0) return 'This cannot have happened with so many cards';
  const told = conflict.map((index) => `“${describeFact(facts[index])}”`);
  if (told.length === 1) return `${told[0]} does not fit this order`;
  return `${told.slice(0, -1).join(', ')} and ${told[told.length - 1]} cannot ${told.length === 2 ? 'both' : 'all'} be true`;
};

/**
 * What follows from facts, as a reckoning: the state of the pack where only one fits, the look that would tell
 * most where several do, and what cannot be true together where none does.
 */
export const reckonFacts = (now: Order, facts: readonly Fact[], deduction: Deduction): Reckoning => {
  const { states, certain, size, out } = deduction;
  const whole = certain.length > 0 && certain.every((card) => card !== undefined);
  const face = size === undefined ? undefined : certain[size - 1];
  const answer =
    states === 0
      ? sayConflict(facts, deduction)
      : whole && face !== undefined
        ? [
            ...deduction.unknowns.map(
              ({ words, kind, tally }) =>
                `${words.toLowerCase()} ${sayTally(tally, kind === 'card' ? showCard : String)}`,
            ),
            ...(out.length > 0 ? [`out ${sayTally(out, showCard)}`] : []),
            `face ${showCard(face)}`,
          ]
            .join(', ')
            .replace(/^./, (letter) => letter.toUpperCase())
        : sayLook(deduction);
  const markAt = (card: Card, mark: ReckonMark): Reckoning['marks'][number] => ({
    place: now.indexOf(card) + 1,
    mark,
  });
  const marks = [
    ...out.map(({ value }) => markAt(value, 'missing')),
    ...facts.flatMap((fact) => seenCards(fact).map((card) => markAt(card, 'seen'))),
  ].filter(({ place }, index, all) => place > 0 && all.findIndex((each) => each.place === place) === index);
  return {
    known: states === 0 ? [{ words: 'Ways it can lie', value: 0 }] : knownOf(deduction),
    answer,
    notes: [
      ...(states > 1 && whole ? ['The pack can lie in one way only; how it got there is open.'] : []),
      ...(deduction.unlessCut ? ['It would fit if the pack had been cut first.'] : []),
    ],
    sum: [],
    marks: out.length > 8 ? marks.filter(({ mark }) => mark === 'seen') : marks,
    moves: [],
  };
};

const seenCards = (fact: Fact): readonly Card[] => {
  switch (fact.kind) {
    case 'seen':
    case 'missing':
      return [fact.card];
    case 'lift':
      return fact.face === undefined ? [] : [fact.face];
    case 'cuts':
      return [fact.first, fact.second];
    case 'gap':
      return [fact.above, fact.below];
    case 'row':
      return fact.cards;
    default:
      return [];
  }
};
