import { Card, mateOf } from '../../deck/card';
import { mod } from '../../deck/mod';
import { showCard } from '../../deck/notation';
import { fromFace } from '../../deck/offset';
import { cardAt, Order, placeOf } from '../../deck/order';
import { cut } from '../../moves/cut';
import { handlings } from '../../reckon/handling';
import { add, handSum, placeSum, result, start, SumLine } from '../../reckon/handSum';
import { twoCards } from '../../reckon/patterns/twoCards';
import { saidCards, saidNumber, saidOff } from '../said';
import { Range, SumKind, SumPack } from './sum';

/** Sums of a pack in stack order that was cut: the face card is seen. */

/** A card by its stack number, from 1. */
export const cardBy = (home: Order, stackNumber: number): Card => home[stackNumber - 1];

/** The pack turned so that the card with a stack number is at the face. */
export const turnedTo = (home: Order, face: number): Order => cut(home, mod(face, home.length));

export const atFace = (now: Order): string => `${showCard(now[now.length - 1])} at the face`;

export const wholePack = ({ home }: SumPack): Range => [1, home.length];

/** Kinds that are asked of every pack of three cards or more. */
export const withRanges =
  (...ranges: readonly ((pack: SumPack) => Range)[]) =>
  (pack: SumPack): readonly Range[] | undefined =>
    pack.home.length < 3 ? undefined : ranges.map((range) => range(pack));

export const reached = (lines: readonly SumLine[]): number => lines[lines.length - 1].amount;

export const PLACE_AFTER_CUT: SumKind = {
  name: 'place after a cut',
  asks: '{given}: where does {shown} lie?',
  answer: 'number',
  way: '',
  ranges: withRanges(wholePack, wholePack),
  make: ({ home }, [face, stackNumber]) => {
    const [now, card] = [turnedTo(home, face), cardBy(home, stackNumber)];
    const lines = placeSum(home, now, card);
    return { shown: showCard(card), given: atFace(now), truth: saidNumber(reached(lines)), lines };
  },
};

export const CARD_TO_FACE: SumKind = {
  name: 'card to the face',
  asks: '{shown}: which card must come to the face?',
  answer: 'card',
  way: '',
  ranges: withRanges(wholePack, wholePack),
  make: ({ home }, [stackNumber, number]) => {
    const card = cardBy(home, stackNumber);
    const plain = handlings(home, card, number).find(({ way, counting }) => {
      return way === 'shift' && counting === 'turn the last';
    });
    if (!plain) return undefined;
    const left = stackNumber - number;
    return {
      shown: `${showCard(card)} at ${number}`,
      truth: saidCards(plain.face),
      lines: [
        start(stackNumber, `${showCard(card)}’s stack number`),
        add(-number, 'the number named'),
        ...(left > 0 ? [] : [add(home.length, 'once round')]),
        result(placeOf(home, plain.face) ?? 0, `${showCard(plain.face)}’s stack number`),
      ],
    };
  },
};

export const HOW_FAR_OFF: SumKind = {
  name: 'how far off',
  asks: '{given}, {shown} wanted: how far off is it?',
  answer: 'off',
  way: '',
  ranges: withRanges(wholePack, wholePack, wholePack),
  make: ({ home }, [face, stackNumber, number]) => {
    const [now, card] = [turnedTo(home, face), cardBy(home, stackNumber)];
    const lines = handSum(home, now, card, number);
    const off = reached(lines);
    // Half the pack off it is either way.
    if (2 * Math.abs(off) === home.length) return undefined;
    return { shown: `${showCard(card)} at ${number}`, given: atFace(now), truth: saidOff(off), lines };
  },
};

export const MATE_PLACE: SumKind = {
  name: 'place of the mate',
  asks: '{given}: where does the mate of {shown} lie?',
  answer: 'number',
  way: '',
  ranges: withRanges(wholePack, wholePack),
  make: ({ home }, [face, stackNumber]) => {
    const [now, card] = [turnedTo(home, face), cardBy(home, stackNumber)];
    if (card >= 52 || !home.includes(mateOf(card))) return undefined;
    const lines = placeSum(home, now, mateOf(card));
    return { shown: showCard(card), given: atFace(now), truth: saidNumber(reached(lines)), lines };
  },
};

export const FROM_FACE: SumKind = {
  name: 'place from the face',
  asks: '{given}: where does {shown} lie, counted from the face?',
  answer: 'number',
  way: '',
  ranges: withRanges(wholePack, wholePack),
  make: ({ home }, [face, stackNumber]) => {
    const [now, card] = [turnedTo(home, face), cardBy(home, stackNumber)];
    const lines = placeSum(home, now, card);
    const place = fromFace(reached(lines), home.length);
    return {
      shown: showCard(card),
      given: atFace(now),
      truth: saidNumber(place),
      lines: [
        ...lines,
        start(home.length + 1, 'one more than the pack'),
        add(-reached(lines), 'where it lies'),
        result(place, 'from the face'),
      ],
    };
  },
};

export const CARD_AT_PLACE: SumKind = {
  name: 'card at a place',
  asks: '{given}: which card lies at {shown}?',
  answer: 'card',
  way: '',
  ranges: withRanges(wholePack, wholePack),
  make: ({ home }, [face, place]) => {
    const now = turnedTo(home, face);
    const card = cardAt(now, place);
    if (card === undefined) return undefined;
    const sum = face + place;
    return {
      shown: place.toString(),
      given: atFace(now),
      truth: saidCards(card),
      lines: [
        start(place, 'the place'),
        add(face, atFace(now)),
        ...(sum > home.length ? [add(-home.length, 'once round')] : []),
        result(placeOf(home, card) ?? 0, `${showCard(card)}’s stack number`),
      ],
    };
  },
};

export const CARD_TO_CLAIM: SumKind = {
  name: 'card to claim',
  asks: 'Their card {shown} comes to your number ({given}): which card lies at theirs?',
  answer: 'card',
  way: 'two-cards',
  ranges: withRanges(wholePack, wholePack, wholePack),
  make: ({ home }, [stackNumber, mine, theirs]) => {
    const card = cardBy(home, stackNumber);
    const claim = twoCards(home, card, mine, theirs)?.claim;
    if (claim === undefined) return undefined;
    const at = placeOf(home, claim) ?? 0;
    const sum = stackNumber - mine + theirs;
    return {
      shown: showCard(card),
      given: `mine ${mine}, theirs ${theirs}`,
      truth: saidCards(claim),
      lines: [
        start(stackNumber, `${showCard(card)}’s stack number`),
        add(theirs - mine, 'from my number to theirs'),
        ...(sum === at ? [] : [add(at - sum, 'once round')]),
        result(at, `${showCard(claim)}’s stack number`),
      ],
    };
  },
};
