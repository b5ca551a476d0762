import { Card } from '../../deck/card';
import { showCard } from '../../deck/notation';
import { Order, placeOf } from '../../deck/order';
import { describeHandling, Handling, handlings } from '../handling';
import { add, result, start } from '../handSum';
import { Reckoned, reckoned, unreckoned } from '../reckoning';

/** One number at which the count may be stopped, and what to do then. */
export interface LineStop {
  /** 1 to N. */
  readonly number: number;
  readonly handling: Handling;
  readonly says: string;
  /** Whether the handling is within what the performer is happy with. */
  readonly easy: boolean;
}

/** Numbers that are called out, running down to the place of a card and past it. */
export interface NumberLine {
  /** Where the card lies, 1 to N. */
  readonly target: number;
  /** The first number called: the target and the lead, at most N. */
  readonly start: number;
  /** From which number the helper is invited to say stop, and the last at which it is easy. */
  readonly invite: { readonly from: number; readonly to: number };
  /** Every number from the start down to as far past the target as the lead. */
  readonly stops: readonly LineStop[];
}

/**
 * A list of numbers is called, running down from a little above a card's place; the helper says stop.
 *
 * @param lead how far above its place the list begins, 1 or more.
 * @param easy how many cards the performer is happy to move.
 * @returns undefined when the card is not in the pack.
 */
export const numberLine = (now: Order, card: Card, lead: number, easy: number): NumberLine | undefined => {
  const target = placeOf(now, card);
  if (target === undefined) return undefined;
  const first = Math.min(now.length, target + lead);
  const last = Math.max(1, target - lead);
  const stops = Array.from({ length: first - last + 1 }, (_, index): LineStop => {
    const number = first - index;
    const [handling] = handlings(now, card, number);
    return { number, handling, says: describeHandling(handling), easy: handling.displaced <= easy };
  });
  return {
    target,
    start: first,
    invite: { from: Math.min(first, target + easy), to: Math.max(last, target - easy) },
    stops,
  };
};

/** The number line as a reckoning; with `stopped` the exact move for that number. */
export const reckonNumberLine = (
  now: Order,
  card: Card,
  lead: number,
  easy: number,
  stopped?: number,
): Reckoned => {
  const line = numberLine(now, card, lead, easy);
  if (!line) return unreckoned(`${showCard(card)} is not in this pack.`, 'Name another card.');
  const { target, invite } = line;
  const handling = stopped === undefined ? undefined : handlings(now, card, stopped).at(0);
  if (stopped !== undefined && !handling)
    return unreckoned(`The pack has ${now.length} cards.`, `Name a number from 1 to ${now.length}.`);
  return reckoned({
    answer:
      stopped === undefined || !handling
        ? `Call from ${line.start} down; say “stop when you like” from ${invite.from}`
        : describeHandling(handling),
    notes: [
      `Stopped from ${invite.from} to ${invite.to}, at most ${easy} cards move.`,
      ...line.stops
        .filter(({ number }) => number <= invite.from && number >= invite.to)
        .map(({ number, says }) => `${number}: ${says}`),
    ],
    known: [
      { words: `${showCard(card)} lies at`, value: target },
      { words: 'Begin the list at', value: line.start },
      { words: 'Invite the stop from', value: invite.from },
      { words: 'Easy down to', value: invite.to },
    ],
    sum: [
      start(target, `where ${showCard(card)} lies`),
      add(line.start - target, 'the lead'),
      result(line.start, 'the first number called'),
      ...(stopped === undefined
        ? []
        : [
            start(target, `where ${showCard(card)} lies`),
            add(-stopped, 'stopped at'),
            result(target - stopped, 'cards too deep'),
          ]),
    ],
    marks: [
      { place: target, mark: 'wanted' },
      ...(stopped === undefined ? [] : [{ place: stopped, mark: 'number' } as const]),
    ],
    moves: handling?.move ? [handling.move] : [],
  });
};
