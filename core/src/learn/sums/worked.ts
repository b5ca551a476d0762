import { showCard } from '../../deck/notation';
import { saidCards, saidNumber } from '../said';
import { Range, SumKind, SumPack } from './sum';
import { cardBy, wholePack, withRanges } from './turned';

/** Sums of an order that is worked out and not known by heart. */

const workedOut = (pack: SumPack): readonly Range[] | undefined =>
  pack.way ? withRanges(wholePack)(pack) : undefined;

export const STACK_NUMBER: SumKind = {
  name: 'stack number',
  belongsTo: 'rule',
  asks: 'What is the stack number of {shown}?',
  answer: 'number',
  ranges: workedOut,
  make: ({ home, way }, [stackNumber]) => {
    const card = cardBy(home, stackNumber);
    return { shown: showCard(card), truth: saidNumber(stackNumber), lines: way?.work(card) ?? [] };
  },
};

export const CARD_OF_NUMBER: SumKind = {
  name: 'card of a stack number',
  belongsTo: 'rule',
  asks: 'Which card has stack number {shown}?',
  answer: 'card',
  ranges: workedOut,
  make: ({ home, way }, [stackNumber]) => {
    const card = cardBy(home, stackNumber);
    return { shown: `${stackNumber}`, truth: saidCards(card), lines: way?.work(card) ?? [] };
  },
};
