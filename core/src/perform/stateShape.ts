import { isCard } from '../deck/card';
import { cardList, FLAG, kindOf, listOf, oneOf, optional, Part, shape, shouldBe, whole } from '../deck/shape';

/** The most cards, strangers and packets that a state tells of. */
const MOST = 600;
const NUMBER = whole(0, MOST);
const NAMES: Part = listOf(
  (value) =>
    typeof value === 'string' && value !== '' && value.length <= 60
      ? undefined
      : shouldBe(value, 'a name of up to 60 letters'),
  0,
  20,
);
const SEEN = shape({ seen: NAMES });

/** A value that is told, or known by sights, or not known. */
const told =
  (plain: Part): Part =>
  (value, fields) =>
    value === 'unseen'
      ? undefined
      : typeof value === 'object' && value !== null && !Array.isArray(value)
        ? SEEN(value, fields)
        : plain(value, fields);

const TOLD = told(NUMBER);

const TURN: Part = (value, fields) =>
  typeof value === 'object' && value !== null && 'plus' in value
    ? shape({
        plus: (plus, among) => (typeof plus === 'object' ? SEEN(plus, among) : NUMBER(plus, among)),
      })(value, fields)
    : TOLD(value, fields);

const WHERE: Part = (value) =>
  typeof value === 'string' && value.trim() === value && value !== '' && value.length <= 60
    ? undefined
    : shouldBe(value, 'a place’s name of up to 60 letters');

const OUT = listOf(
  shape({
    ...{ where: WHERE, count: TOLD, most: whole(1, MOST), cards: told(listOf(isACard, 0, MOST)) },
    packet: optional((value) => (value === true ? undefined : shouldBe(value, 'true'))),
    ...{ reversed: optional(FLAG), faceUp: optional(FLAG), behind: optional(TOLD) },
  }),
  0,
  40,
);

function isACard(value: unknown) {
  return isCard(value) && !Object.is(value, -0) ? undefined : shouldBe(value, 'a card’s number');
}

const STRAY = shape({
  ...{ place: TOLD, count: TOLD, most: whole(1, MOST), behind: TOLD },
  ...{ reversed: FLAG, faceUp: FLAG, stays: FLAG },
});

const REST = { out: OUT, extra: NUMBER };
const BANK = { cards: cardList(1), at: oneOf('top', 'face'), loose: FLAG };

const STATES: Readonly<Record<string, Part>> = {
  home: shape({ turn: TURN, packets: listOf(STRAY, 0, 3), ...REST }, ['lies']),
  bank: shape({ bank: shape(BANK), ...REST }, ['lies']),
  lost: shape({ faceUp: FLAG, ...REST }, ['lies']),
};

/** How a routine leaves its pack, as it is stored or stands in a file. */
export const STATE: Part = (value, fields) => {
  const lies = typeof value === 'object' && value !== null ? (value as { lies?: unknown }).lies : undefined;
  return typeof lies === 'string' && Object.hasOwn(STATES, lies)
    ? STATES[lies](value, fields)
    : { where: 'lies', ...shouldBe(lies, 'one of home, bank, lost') };
};

const FEWER = { fewer: optional(NUMBER) };

/** What a routine needs of a pack, as it is stored or stands in a file. */
export const NEED: Part = kindOf({
  home: {
    turns: (value, fields) => (value === 'any' ? undefined : listOf(NUMBER, 1, MOST)(value, fields)),
    known: optional(FLAG),
    ...FEWER,
  },
  bank: { ...BANK, ...FEWER },
  cards: FEWER,
});
