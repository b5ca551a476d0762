import { Card, Colour, colourOf, firstOf, mateOf, rankOf, suitOf } from '../deck/card';
import { showCard } from '../deck/notation';
import { INDIFFERENT } from '../procedure/packets';

/**
 * What a card looks like: 0 to 51 the cards, 52 and 53 the jokers, 54 an indifferent card. Second copies look like the
 * first, and so do all indifferent cards.
 */
export type Look = number;

/** Cards from the top to the face as a wish judges them; an indifferent one is INDIFFERENT. */
export type Laid = readonly Card[];

/** How an indifferent card looks. */
export const PLAIN: Look = 54;
/** How many looks there are. */
export const LOOKS = 55;

export const lookOf = (card: Card): Look => (card === INDIFFERENT ? PLAIN : firstOf(card));

/** A card as people read it, without saying which copy it is. */
export const showLook = (look: Look): string => (look === PLAIN ? 'any card' : showCard(look));

const ALL = Array.from({ length: LOOKS }, (_, look) => look);

const RANK = ALL.map((look) => (look === PLAIN ? 0 : (rankOf(look) ?? 0)));
const SUIT = ALL.map((look) => (look === PLAIN ? -1 : (suitOf(look) ?? -1)));
const COLOUR = ALL.map((look) => (look === PLAIN ? undefined : colourOf(look)));
const MATE = ALL.map((look) => (look === PLAIN ? -1 : mateOf(look)));

/** The rank from 1 to 13; 0 for what has none: a joker, an indifferent card. */
export const rankAt = (look: Look): number => RANK[look];

/** The rank as its digits are added up: a queen is 12, which makes 3. */
export const digitsAt = (look: Look): number => {
  const rank = RANK[look];
  return rank < 10 ? rank : 1 + (rank - 10);
};

/** The suit from 0 to 3, -1 for what has none. */
export const suitAt = (look: Look): number => SUIT[look];

export const colourAt = (look: Look): Colour | undefined => COLOUR[look];

/** The look of the mate, -1 for what has none. */
export const mateAt = (look: Look): Look => MATE[look];

/** What cards may be compared by. */
export type Value = 'rank' | 'suit' | 'colour' | 'card';

/** A card's value as a number, -1 for what lacks it. */
export const valueAt = (by: Value, look: Look): number => {
  switch (by) {
    case 'rank':
      return RANK[look] === 0 ? -1 : RANK[look];
    case 'suit':
      return SUIT[look];
    case 'colour':
      return COLOUR[look] === undefined ? -1 : Number(COLOUR[look] === 'red');
    case 'card':
      return look;
  }
};

/** How two cards may be related. */
export type Relation = 'mates' | `${'like' | 'other'} ${'rank' | 'suit' | 'colour'}`;

export const RELATIONS: readonly Relation[] = [
  'mates',
  ...(['rank', 'suit', 'colour'] as const).flatMap((by) => [`like ${by}` as const, `other ${by}` as const]),
];

/** Whether two cards are so related; what lacks the value is like nothing and other than all. */
export const related = (relation: Relation, a: Look, b: Look): boolean => {
  if (relation === 'mates') return MATE[a] === b;
  const [how, by] = relation.split(' ') as ['like' | 'other', 'rank' | 'suit' | 'colour'];
  const value = valueAt(by, a);
  const like = value >= 0 && value === valueAt(by, b);
  return how === 'like' ? like : !like;
};
