import { countOf } from '../../deck/countOf';
import { Card, looksLike } from '../../deck/card';
import { mod } from '../../deck/mod';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { cut, Cut } from '../../moves/cut';
import { countOfCards } from '../../moves/wording';
import { add, placeSum, result, start, SumLine } from '../handSum';
import { cutBetween, offsetOf } from '../../deck/offset';
import { Reckoned, reckoned, unreckoned } from '../reckoning';
import { cardField, maybe, num, numberField, setupField } from '../../form/fields';
import { Pattern } from './pattern';

/** A card that is called out, and the place (from 1) where it lies. */
export interface Call {
  readonly card: Card;
  readonly place: number;
  /** Called first, before the row begins: one that lies far from the line. */
  readonly decoy: boolean;
}

/** What to do when the finger is stopped at a number. */
export interface LineStop {
  /** From 1. */
  readonly number: number;
  readonly move: Cut | undefined;
  /** How many cards change ends, and from which end. */
  readonly displaced: number;
  readonly from: 'top' | 'bottom';
  /** Whether so few cards move that the performer is happy with it. */
  readonly easy: boolean;
}

/** A line of numbers on which a finger runs upwards until the helper says stop. */
export interface NumberLine {
  /** Where the card lies, 1 to N. */
  readonly place: number;
  readonly end: number;
  /** From which number on the helper is invited to say stop. */
  readonly invite: number;
  /** The numbers at which the handling is easy. */
  readonly easy: { readonly from: number; readonly to: number };
  /** Every number from 1 to the end. */
  readonly stops: readonly LineStop[];
}

export interface LineSetup {
  /** How far up the row of calls begins, and how far the line goes: 1 or more. */
  readonly lead: number;
  /** How many cards are called before the row begins: 0 to 3. */
  readonly decoys: number;
  /** How many numbers before the card's place the stop is invited: 0 or more. */
  readonly before: number;
  /** How many cards the performer is happy to move. */
  readonly easy: number;
}

/** What has been seen and said of it so far. */
export interface LineTold {
  /** The key card, which is at the face or is cut there; left out, it is the face card as the pack lies. */
  readonly key?: Card;
  /** The card called when they said stop. */
  readonly stopped?: Card;
  /** Without a stack: how many indifferent cards lie below the key, before the selection. */
  readonly below?: number;
  /** The number at which the finger was stopped. */
  readonly number?: number;
}

/** How far from each other the first calls lie in the part of the pack that the line does not reach. */
const DECOY_STEPS = [0.5, 0.2, 0.8];

/**
 * The cards to call, in turn: a few that lie far beyond the line, then those from place `lead` up to the top. In a
 * pack in stack order with the key card at the face these are the stack from number k + lead downwards.
 *
 * @param pack with the key card at its face.
 */
export const lineCalls = (pack: Order, { lead, decoys }: Pick<LineSetup, 'lead' | 'decoys'>): Call[] => {
  const size = pack.length;
  const from = Math.min(lead, size - 1);
  // The key itself lies at the face and is not called.
  const beyond = size - 1 - from;
  const far = DECOY_STEPS.slice(0, decoys)
    .map((part) => from + Math.max(1, Math.round(part * beyond)))
    .filter((place, index, all) => place < size && all.indexOf(place) === index);
  return [
    ...far.map((place) => ({ card: pack[place - 1], place, decoy: true })),
    ...Array.from({ length: from }, (_, index) => ({
      card: pack[from - index - 1],
      place: from - index,
      decoy: false,
    })),
  ];
};

/** What is done to a pack of `size` cards so that the card at `place` comes to `number`, counted from the top. */
const lineStop = (place: number, number: number, size: number, easy: number): LineStop => {
  const count = cutBetween(place, number, size);
  const displaced = Math.min(count, size - count);
  return {
    number,
    move: count === 0 ? undefined : { kind: 'cut', count },
    displaced,
    from: count <= size - count ? 'top' : 'bottom',
    easy: displaced <= easy,
  };
};

/**
 * The line for a card whose place is known.
 *
 * @param place 1 to `size`. @param size cards in the pack.
 */
export const numberLine = (place: number, size: number, setup: LineSetup): NumberLine => {
  const { lead, before, easy } = setup;
  const end = Math.min(size, Math.max(lead, place));
  return {
    place,
    end,
    invite: Math.max(1, place - before),
    easy: { from: Math.max(1, place - easy), to: Math.min(end, place + easy) },
    stops: Array.from({ length: end }, (_, index) => lineStop(place, index + 1, size, easy)),
  };
};

/** What the hands do for a stop, without a full stop. */
const describeStop = ({ displaced, from }: LineStop): string => {
  if (displaced === 0) return 'Nothing to do: it lies there';
  return from === 'top'
    ? `Move ${countOfCards(displaced)} from top to bottom while you square the pack up`
    : `Leave the bottom ${displaced === 1 ? 'card' : countOfCards(displaced)} on the table when you pick the pack up, and drop ${displaced === 1 ? 'it' : 'them'} on top`;
};

/** The same in a table: `2 ↓` for two cards from top to bottom. */
const shortStop = ({ displaced, from }: LineStop): string =>
  displaced === 0 ? '–' : `${displaced} ${from === 'top' ? '↓' : '↑'}`;

/** The place of the card that was called: of two copies, the one that is called first in the row. */
export const calledPlace = (pack: Order, card: Card, lead: number): number | undefined => {
  const places = pack.flatMap((each, index) => (looksLike(each, card) ? [index + 1] : []));
  const inRow = places.filter((place) => place <= lead);
  return inRow.length > 0 ? Math.max(...inRow) : places.at(0);
};

/** Nothing was called yet: which cards to call. */
const reckonCalls = (home: Order, pack: Order, setup: LineSetup, moves: readonly Cut[]): Reckoned => {
  const calls = lineCalls(pack, setup);
  const first = calls.filter(({ decoy }) => decoy).map(({ card }) => showCard(card));
  const row = calls.find(({ decoy }) => !decoy);
  const key = pack[pack.length - 1];
  if (!row) return unreckoned('The pack is too small for a row of calls.', 'Take two cards or more.');
  return reckoned({
    answer: `Call ${[...first, showCard(row.card)].join(', ')} and on down your order, until they say stop`,
    notes: [
      `${showCard(row.card)} lies at ${row.place}, each one after it one higher.`,
      ...(offsetOf(home, pack) === undefined
        ? ['The pack is out of step: these are its cards as they lie, not your order.']
        : []),
    ],
    known: [
      { words: 'Key at the face', card: key },
      ...calls.map(({ card, place, decoy }) => {
        const number = placeOf(home, card);
        const stack = number === undefined ? '' : `, stack number ${number}`;
        return { words: `${decoy ? 'first, ' : ''}at ${place}${stack}`, card };
      }),
    ],
    sum:
      offsetOf(home, pack) === undefined
        ? []
        : [
            start(placeOf(home, key) ?? 0, `${showCard(key)}’s stack number`),
            add(row.place, 'the lead'),
            ...((placeOf(home, key) ?? 0) + row.place > home.length ? [add(-home.length, 'once round')] : []),
            result(placeOf(home, row.card) ?? 0, `${showCard(row.card)}, where the row begins`),
          ],
    marks: [{ place: row.place, mark: 'seen' }],
    moves,
  });
};

/** The sum for a number that was said: how far the card is from it, the shorter way round. */
const stopSum = ({ move, displaced, from, number }: LineStop, place: number, size: number): SumLine[] => {
  const left = move === undefined ? 0 : from === 'top' ? displaced : -displaced;
  const round = left - (place - number);
  return [
    add(-number, 'the number said'),
    ...(round === 0 ? [] : [add(Math.sign(round) * size, 'once round')]),
    result(left, left === 0 ? 'it is there' : left > 0 ? 'too deep' : 'too high'),
  ];
};

/**
 * A key card is at the face. Cards are called from an imaginary pack until the helper says stop: the one called then
 * lies at its stack number less the key's. A finger then runs up a line of numbers until the helper says stop
 * again, close to that place, and the few cards between are moved. Without a stack, a key with indifferent cards
 * below it, cut to the face, leaves the selection right behind those.
 *
 * @param now the pack as it lies.
 */
export const reckonNumberLine = (home: Order, now: Order, setup: LineSetup, told: LineTold): Reckoned => {
  const size = now.length;
  const keyAt = told.key === undefined ? size : placeOf(now, told.key);
  if (keyAt === undefined)
    return unreckoned(`${showCard(told.key ?? 0)} is not in this pack.`, 'Name the card at the face.');
  const toFace = mod(keyAt, size);
  const pack = cut(now, toFace);
  const moves: Cut[] = toFace === 0 ? [] : [{ kind: 'cut', count: toFace }];
  if (told.below === undefined && told.stopped === undefined) return reckonCalls(home, pack, setup, moves);
  const place = told.below === undefined ? calledPlace(pack, told.stopped ?? 0, setup.lead) : told.below + 1;
  if (place === undefined)
    return unreckoned(`${showCard(told.stopped ?? 0)} is not in this pack.`, 'Name the card called last.');
  if (place > size)
    return unreckoned(
      `Fewer than ${told.below ?? 0} cards lie below the key.`,
      `The pack has ${countOf(size, 'card')}.`,
    );
  const line = numberLine(place, size, setup);
  const stop = told.number === undefined ? undefined : lineStop(place, told.number, size, setup.easy);
  if (told.number !== undefined && (told.number < 1 || told.number > size))
    return unreckoned(`The pack has ${countOf(size, 'card')}.`, `Name a number from 1 to ${size}.`);
  const { easy, invite, end } = line;
  const card = pack[place - 1];
  const what = told.below === undefined ? showCard(card) : 'the selection';
  return reckoned({
    answer: stop
      ? describeStop(stop)
      : `Run up a line from 1 to ${end}; say “stop when you like” from ${invite} on`,
    notes: [
      ...(stop ? [`Then count ${stop.number}, turn the last: it is ${what}.`] : []),
      `Stopped from ${easy.from} to ${easy.to}, at most ${countOfCards(setup.easy)} move.`,
      'In the list: ↓ so many cards go from top to bottom, ↑ from bottom to top.',
      ...(place > setup.lead
        ? [`It lies beyond the line of ${setup.lead}: this one goes up to ${end}.`]
        : []),
    ],
    known: [
      told.below === undefined
        ? { words: `${what} lies at`, value: place }
        : { words: 'The selection lies at', value: place },
      { words: 'Invite the stop from', value: invite },
      { words: 'Easy', value: `${easy.from} to ${easy.to}` },
      { words: 'Stopped at', value: 'move' },
      ...line.stops.map((each) => ({ words: `${each.number}`, value: shortStop(each) })),
    ],
    sum: [
      ...(told.below === undefined
        ? placeSum(home, pack, card)
        : [
            start(told.below, 'cards below the key'),
            add(1, 'the selection'),
            result(place, 'where it lies'),
          ]),
      ...(stop ? stopSum(stop, place, size) : []),
    ],
    marks: [{ place, mark: 'wanted' }, ...(stop ? [{ place: stop.number, mark: 'number' } as const] : [])],
    moves: [...moves, ...(stop?.move ? [stop.move] : [])],
  });
};

/** How it is asked. */
export const NUMBER_LINE: Pattern = {
  path: 'number-line',
  lead: 'You call cards until they say stop, then run along numbers until they say stop again.',
  fields: [
    cardField('key', 'Key card at the face', 'Which card is at the face?', { optional: true }),
    cardField('stopped', 'Called when they said stop', 'At which card did they say stop?', {
      optional: true,
    }),
    numberField('number', 'Number when they said stop', 'At which number did they say stop?', {
      optional: true,
    }),
    numberField('below', 'Without an order: cards below the key', 'How many cards lie below the key?', {
      optional: true,
      least: 0,
    }),
    setupField('lead', 'Row and line of', 18),
    setupField('decoys', 'Cards called before the row', 2, { least: 0, most: 3 }),
    setupField('before', 'Invite the stop before the card by', 10, { least: 0 }),
  ],
  reckon: (values, { home, now, shift }) =>
    reckonNumberLine(
      home,
      now,
      {
        lead: num(values, 'lead'),
        decoys: num(values, 'decoys'),
        before: num(values, 'before'),
        easy: shift,
      },
      {
        key: maybe(values, 'key'),
        stopped: maybe(values, 'stopped'),
        below: maybe(values, 'below'),
        number: maybe(values, 'number'),
      },
    ),
};
