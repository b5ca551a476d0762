import { showCard, showRank } from '../../deck/notation';
import { Rank } from '../../deck/card';
import { composedCardAt, ComposedWay } from '../../deck/composedCard';
import { cut } from '../../moves/cut';
import { weavesToPlace } from '../../moves/topToPlace';
import { add, placeSum, result, start } from '../../reckon/handSum';
import { packetCard, packetSizes, packetSum } from '../../reckon/patterns/bankPacket';
import { composedSum } from '../../reckon/patterns/composedCard';
import { countDownSum, placeBehindBank } from '../../reckon/patterns/countDown';
import { placesAfterDeals, roundsSum } from '../../reckon/patterns/dealtBack';
import { digitSum, digitSumPlace, mostCut, ranksSum } from '../../reckon/patterns/digitSum';
import { cardsBetween, gapSum } from '../../reckon/patterns/gapCards';
import { calledPlace } from '../../reckon/patterns/numberLine';
import { differenceSum, twoCuts } from '../../reckon/patterns/twoCuts';
import { saidCards, saidNumber, saidWeaves } from '../said';
import { Range, SumKind, SumPack } from './sum';
import { atFace, cardBy, turnedTo, wholePack, withRanges } from './turned';

/** Sums of what was counted, cut or called. */

/** Asked only where the cards of a bank lie in a known order. */
const fixedBank = (pack: SumPack): readonly Range[] | undefined =>
  pack.bank && !pack.bank.loose ? withRanges(wholePack)(pack) : undefined;

/** How far up the row of calls begins: what the number line of Reckon begins with. */
const LEAD = 18;

export const CALLED_CARD: SumKind = {
  name: 'called card',
  asks: '{given}, and they stop you at {shown}: where does it lie?',
  answer: 'number',
  way: 'number-line',
  ranges: withRanges(wholePack, ({ home }) => [1, Math.min(LEAD, home.length - 1)]),
  make: ({ home }, [key, place]) => {
    const now = turnedTo(home, key);
    const card = now[place - 1];
    // Of two copies the one that is called first stops the row; one asked before may have been longer.
    if (calledPlace(now, card, Math.max(LEAD, place)) !== place) return undefined;
    return {
      shown: showCard(card),
      given: atFace(now),
      truth: saidNumber(place),
      lines: placeSum(home, now, card),
    };
  },
};

export const TWO_GLIMPSES: SumKind = {
  name: 'difference of two glimpses',
  asks: 'Cut and turned over at {shown}: how many cards are face up?',
  answer: 'number',
  way: 'two-cuts',
  ranges: withRanges(wholePack, wholePack),
  make: ({ home }, [first, second]) => {
    const [a, b] = [cardBy(home, first), cardBy(home, second)];
    const cuts = twoCuts(home, a, b);
    return (
      cuts && {
        shown: `${showCard(a)} then ${showCard(b)}`,
        truth: saidNumber(cuts.difference),
        lines: differenceSum(cuts, a, b),
      }
    );
  },
};

export const PACKET_CARD: SumKind = {
  name: 'packet to card',
  asks: '{shown} cards in the packet: which card is at its face?',
  answer: 'card',
  way: 'packet',
  ranges: fixedBank,
  make: ({ home, bank }, [size]) => {
    const sizes = bank && packetSizes(home, bank);
    const card = bank && packetCard(home, bank, size);
    if (!sizes || card === undefined) return undefined;
    return { shown: `${size}`, truth: saidCards(card), lines: packetSum(size, sizes.from, card) };
  },
};

export const COUNT_DOWN_PLACE: SumKind = {
  name: 'count down a bank',
  asks: 'The selection lies below the bank, {shown} at the face: where is the selection?',
  answer: 'number',
  way: 'count-down',
  ranges: fixedBank,
  make: ({ home, bank }, [stackNumber]) => {
    const face = cardBy(home, stackNumber);
    if (!bank?.cards.includes(face)) return undefined;
    const place = placeBehindBank(home, bank, face);
    if (place === undefined) return undefined;
    return {
      shown: showCard(face),
      truth: saidNumber(place),
      lines: countDownSum(bank.cards.length, face, place),
    };
  },
};

export const DIGIT_SUM: SumKind = {
  name: 'digit sum',
  asks: '{shown} cards are counted, then as many as its digits add up to: where does that end?',
  answer: 'number',
  way: 'next-ranks',
  ranges: withRanges(wholePack),
  make: (_, [count]) => ({
    shown: `${count}`,
    truth: saidNumber(digitSumPlace(count)),
    lines: [
      start(count, 'cards counted'),
      add(1, 'counted back'),
      add(-digitSum(count), 'its digit sum'),
      result(digitSumPlace(count), 'where it ends'),
    ],
  }),
};

export const NEXT_RANKS_SUM: SumKind = {
  name: 'next ranks',
  asks: '{shown} come next at the cut: how many cards were cut?',
  answer: 'number',
  way: 'next-ranks',
  ranges: withRanges(
    () => [1, 13],
    () => [1, 13],
  ),
  make: ({ home }, numbers) => {
    const [first, second] = numbers as readonly Rank[];
    if (first + second > mostCut(home)) return undefined;
    return {
      shown: `${showRank(first)} and ${showRank(second)}`,
      truth: saidNumber(first + second),
      lines: ranksSum(first, second),
    };
  },
};

export const DEALT_BACK_PLACE: SumKind = {
  name: 'dealt back',
  asks: 'The pack is in order, then {given} singly and dropped back: where does {shown} lie?',
  answer: 'number',
  way: 'dealt-back',
  ranges: withRanges(wholePack, wholePack),
  make: ({ home }, [stackNumber, count]) => {
    // What is not counted stays: no sum.
    if (stackNumber > count) return undefined;
    const card = cardBy(home, stackNumber);
    const places = placesAfterDeals(stackNumber, [count], home.length);
    return {
      shown: showCard(card),
      given: `${count} counted`,
      truth: saidNumber(places[1]),
      lines: roundsSum(places, [count]),
    };
  },
};

const WAYS: readonly ComposedWay[] = ['rank then suit', 'suit then rank'];

export const COMPOSED: SumKind = {
  name: 'card made of two',
  asks: '{shown} make a card ({given}): how deep below?',
  answer: 'number',
  way: 'composed-card',
  ranges: withRanges(wholePack, () => [0, 1]),
  make: ({ home }, [stackNumber, which]) => {
    const now = cut(home, stackNumber - 1);
    const way = WAYS[which];
    const named = composedCardAt(now, way);
    if (named?.place === undefined) return undefined;
    const shown = `${showCard(now[0])} and ${showCard(now[1])}`;
    const card = showCard(named.card);
    if (which === 1) {
      const deep = home.length + 1 - named.place;
      return {
        shown,
        given: `${way.split(' ')[0]} first, from the face`,
        truth: saidNumber(named.place),
        lines: [
          start(home.length + 1, 'one more than the pack'),
          add(-deep, `where ${card} lies after the cut`),
          result(named.place, 'from the face'),
        ],
      };
    }
    return {
      shown,
      given: `${way.split(' ')[0]} first, from the top`,
      truth: saidNumber(named.place),
      lines: composedSum(home, now[named.place + 1], stackNumber - 1, `${card}’s stack number`),
    };
  },
};

export const MISSING_CARD: SumKind = {
  name: 'missing card',
  asks: 'One card was taken from between {shown}: which?',
  answer: 'card',
  way: 'gap',
  ranges: withRanges(wholePack),
  make: ({ home }, [above]) => {
    const [upper, lower] = [cardBy(home, above), home[(above + 1) % home.length]];
    const between = cardsBetween(home, upper, lower);
    if (between?.length !== 1) return undefined;
    return {
      shown: `${showCard(upper)} and ${showCard(lower)}`,
      truth: saidCards(between[0]),
      lines: gapSum(home, upper, between[0]),
    };
  },
};

export const TOP_TO_PLACE: SumKind = {
  name: 'weaves to a place',
  belongsTo: 'weave',
  asks: 'Which weaves bring the top card to {shown}?',
  answer: 'weaves',
  ranges: (pack) => (pack.home.length < 3 ? undefined : [[2, pack.home.length]]),
  make: (_, [place]) => {
    const weaves = weavesToPlace(place);
    const worth = (index: number): number => 2 ** (weaves.length - 1 - index);
    return {
      shown: `${place}`,
      truth: saidWeaves(weaves),
      lines: [
        start(place - 1, 'one less than the place'),
        ...weaves.map((weave, index) =>
          add(
            weave === 'in' ? -worth(index) : 0,
            `${weave}: ${weave === 'in' ? 'has' : 'no'} ${worth(index)}`,
          ),
        ),
        result(0, 'nothing left'),
      ],
    };
  },
};
