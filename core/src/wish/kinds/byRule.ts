import { Card, FULL_PACK, Rank, Suit } from '../../deck/card';
import { mod } from '../../deck/mod';
import { sameOrder } from '../../deck/order';
import { orderByRule, Rule } from '../../arrange/rule';
import { Relation } from '../look';
import { pair, relationTable } from '../find/terms/pair';
import { never } from '../find/terms/single';
import { someOf } from '../find/terms/someOf';
import { Site, Term } from '../find/term';
import { WishKind } from '../kind';
import { Laid, rankAt, suitAt } from '../look';
import { choice } from '../slots';
import { RuleName } from '../wish';
import { stepTable } from './ranksStep';

/** The only givens that could make a rule give this order. */
export const ruleBehind = (cards: Laid, rule: RuleName): Rule => {
  const suits = cards.slice(0, 4).map((card) => suitAt(card) as Suit);
  const ranks = cards.slice(0, 13).map((card) => rankAt(card) as Rank);
  switch (rule) {
    case 'rotating':
      return { kind: rule, first: cards[0], step: mod(ranks[1] - ranks[0], 13), suits };
    case 'rank row':
      return { kind: rule, ranks, suits };
    default:
      return { kind: rule, half: cards.slice(0, FULL_PACK / 2) };
  }
};

/** Whether a pack is the 52 cards, each once. */
const isFull = (cards: readonly Card[]): boolean =>
  cards.length === FULL_PACK && new Set(cards).size === FULL_PACK && cards.every((card) => card < FULL_PACK);

/** Some givens make a rule give this very order. */
export const BY_RULE: WishKind<'by rule'> = {
  begins: 'by a rule',
  says: () => 'It is made by a rule: {rule}',
  fields: { rule: choice('rotating', 'rank row', 'mirrored halves', 'palindrome') },
  begin: { kind: 'by rule', rule: 'rank row' },
  cases: (laid, { rule }) => {
    const found = isFull(laid) ? orderByRule(ruleBehind(laid, rule)) : undefined;
    const ok = found?.ok === true && sameOrder(found.order, laid);
    return [{ ok, says: ok ? 'from the first card to the last' : 'no givens make it', places: [] }];
  },
  terms: ({ rule }, site) => {
    if (!isFull(site.cards)) return [never('The rule makes an order of the 52 cards, each once.')];
    switch (rule) {
      case 'rotating':
        return [...suitsGoRound(site), ...apart(site, 13, 'like rank'), stepsOnce(site)];
      case 'rank row':
        return [...suitsGoRound(site), ...apart(site, 13, 'like rank')];
      case 'mirrored halves':
        return pairs(site, (index) => index + 26, 'mates');
      case 'palindrome':
        return pairs(site, (index) => 51 - index, 'mates');
    }
  },
};

const pairs = ({ faces, view }: Site, to: (index: number) => number, relation: Relation): readonly Term[] =>
  Array.from({ length: FULL_PACK / 2 }, (_, index) =>
    pair(view[index], view[to(index)], relationTable(faces, relation)),
  );

const apart = ({ faces, view }: Site, distance: number, relation: Relation): readonly Term[] =>
  view.slice(distance).map((place, index) => pair(view[index], place, relationTable(faces, relation)));

const suitsGoRound = (site: Site): readonly Term[] => [
  ...apart(site, 1, 'other suit'),
  ...apart(site, 2, 'other suit'),
  ...apart(site, 3, 'other suit'),
  ...apart(site, 4, 'like suit'),
];

/** One step from each card to the next, whichever it is. */
const stepsOnce = ({ faces, view }: Site): Term =>
  someOf(
    Array.from({ length: 12 }, (_, index) => {
      const table = stepTable(faces, index + 1);
      return view.slice(1).map((place, at) => pair(view[at], place, table));
    }),
    1,
  );
