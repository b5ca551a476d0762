import {
  CALLED_CARD,
  COMPOSED,
  COUNT_DOWN_PLACE,
  DEALT_BACK_PLACE,
  DIGIT_SUM,
  MISSING_CARD,
  NEXT_RANKS_SUM,
  PACKET_CARD,
  TOP_TO_PLACE,
  TWO_GLIMPSES,
} from './counted';
import { SumKind, SumPack } from './sum';
import {
  CARD_AT_PLACE,
  CARD_TO_CLAIM,
  CARD_TO_FACE,
  FROM_FACE,
  HOW_FAR_OFF,
  MATE_PLACE,
  PLACE_AFTER_CUT,
} from './turned';
import { CARD_OF_NUMBER, STACK_NUMBER } from './worked';

/** Every kind of sum. To add one: its constant, and its name here. */
export const SUM_KINDS: readonly SumKind[] = [
  PLACE_AFTER_CUT,
  CARD_TO_FACE,
  HOW_FAR_OFF,
  CARD_AT_PLACE,
  MATE_PLACE,
  FROM_FACE,
  CARD_TO_CLAIM,
  CALLED_CARD,
  TWO_GLIMPSES,
  PACKET_CARD,
  COUNT_DOWN_PLACE,
  NEXT_RANKS_SUM,
  DIGIT_SUM,
  DEALT_BACK_PLACE,
  COMPOSED,
  MISSING_CARD,
  TOP_TO_PLACE,
  STACK_NUMBER,
  CARD_OF_NUMBER,
];

export const sumKind = (name: string): SumKind | undefined => SUM_KINDS.find((kind) => kind.name === name);

export const kindsFor = (pack: SumPack): readonly SumKind[] =>
  SUM_KINDS.filter((kind) => kind.ranges(pack) !== undefined);

/** The kinds that practise one of Reckon's ways. */
export const kindsOfWay = (way: string): readonly SumKind[] => SUM_KINDS.filter((kind) => kind.way === way);
