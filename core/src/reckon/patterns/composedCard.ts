import { composedCardAt, ComposedWay } from '../../deck/composedCard';
import { Card } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { cut } from '../../moves/cut';
import { add, result, start, SumLine } from '../handSum';
import { KnownFact, Reckoned, reckoned, unreckoned } from '../reckoning';
import { cardField, num } from '../../form/fields';
import { cardAtPart, Pattern } from './pattern';

const WAYS: readonly ComposedWay[] = ['rank then suit', 'suit then rank'];

/**
 * How far down the rest a card lies, from its place in the pack before the cut.
 *
 * @param off how many cards are cut off, 0 to N − 1. @param says what its place in the pack is called.
 */
export const composedSum = (pack: Order, card: Card, off: number, says: string): readonly SumLine[] => {
  const from = placeOf(pack, card) ?? 0;
  const round = from > off ? 0 : pack.length;
  return [
    start(from, says),
    add(-off, 'cut off'),
    ...(round === 0 ? [] : [add(round, 'once round')]),
    add(-2, 'the two laid aside'),
    result(from - off + round - 2, 'from the top of the rest'),
  ];
};

/**
 * After a cut the two cards on top are laid aside. The rank of the one and the suit of the other name a card,
 * both ways about; where does it lie among the rest?
 *
 * @param first the card on top after the cut; the second is the one that follows it in the pack.
 */
export const reckonComposedCard = (now: Order, first: Card): Reckoned => {
  const place = placeOf(now, first);
  if (place === undefined)
    return unreckoned(`${showCard(first)} is not in this pack.`, 'Name the card on top.');
  if (now.length < 3) return unreckoned('The pack is too small.', 'It takes three cards or more.');
  const after = cut(now, place - 1);
  const found = WAYS.map((way) => ({ way, named: composedCardAt(after, way) }));
  const says = found.map(({ way, named }) => {
    const from = way === 'rank then suit' ? 'from the top' : 'from the face';
    if (!named) return `${way}: a joker names no card.`;
    if (named.place === undefined) return `${way}: ${showCard(named.card)}, which is not in the rest.`;
    return `${way}: ${showCard(named.card)}, ${named.place} ${from}.`;
  });
  const [top] = found;
  const known: KnownFact[] = [
    { words: 'On top', card: after[0] },
    { words: 'Next', card: after[1] },
    ...found.flatMap(({ way, named }): KnownFact[] =>
      named
        ? [
            { words: way, card: named.card },
            { words: '… lies at', value: named.place ?? 'none' },
          ]
        : [],
    ),
  ];
  const wanted = top.named?.place === undefined ? undefined : placeOf(now, top.named.card);
  return reckoned({
    answer:
      top.named?.place === undefined
        ? says[0].replace(/\.$/, '')
        : `${showCard(top.named.card)} lies ${top.named.place} from the top of the rest`,
    notes: says,
    sum:
      wanted === undefined || top.named?.place === undefined
        ? []
        : composedSum(now, top.named.card, place - 1, `where ${showCard(top.named.card)} lies`),
    known,
    marks: [
      { place, mark: 'seen' },
      { place: (place % now.length) + 1, mark: 'seen' },
      ...(wanted === undefined ? [] : [{ place: wanted, mark: 'wanted' } as const]),
    ],
    moves: place === 1 ? [] : [{ kind: 'cut', count: place - 1 }],
  });
};

/** How it is asked. */
export const COMPOSED_CARD: Pattern = {
  path: 'composed-card',
  lead: 'Two cards are laid aside from the top of a cut: they name a third. Where does it lie?',
  fields: [cardField('first', 'The first of the two', 'Which is the first of the two cards?')],
  example: ({ now }) => ({ first: cardAtPart(now, 0.5) }),
  reckon: (values, { now }) => reckonComposedCard(now, num(values, 'first')),
};
