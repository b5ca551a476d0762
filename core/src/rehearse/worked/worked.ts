import { Procedure, Step } from '../../procedure/procedure';
import { COUNT_DOWN } from './countDown';
import { COUNTED_PACKET } from './countedPacket';
import { DEALT_FREELY } from './dealtFreely';
import { DEALT_TWICE, DEALT_TWICE_FROM_NONE } from './dealtTwice';
import { DEALT_KEY, DEALT_KEY_ONE, DEALT_KEY_TWO } from './dealtKey';
import { FOUR_HEAPS, FOUR_HEAPS_ASKED } from './fourHeaps';
import { KEY_AND_LINE, KEY_IN_SHUFFLED } from './keyAndLine';
import { LIKE_PAIR, LIKE_PAIR_UNMINDED } from './likePair';
import { LOST_AND_PLACED, LOST_AND_PLACED_BORROWED } from './lostAndPlaced';
import { MADE_OF_TWO } from './madeOfTwo';
import { MIRRORED_HALVES, MIRRORED_TWO } from './mirroredHalves';
import { OTHER_PACK } from './otherPack';
import { OTHERS_FOLLOW } from './othersFollow';
import { RIFFLED_BANK } from './riffledBank';
import { RIFFLED_KEY } from './riffledKey';
import { RUN_IN_DIGITS } from './runInDigits';
import { RUN_IS_SHORT } from './runIsShort';
import { TURNED_TWICE, TURNED_TWICE_DEEPER } from './turnedTwice';
import { SHORT_GROUP } from './shortGroup';
import { TWIN_HALVES, TWIN_HALVES_TWO } from './twinHalves';
import { TWO_AT_NUMBERS } from './twoAtNumbers';
import { TWO_CUTS } from './twoCuts';
import { TWO_RANKS } from './twoRanks';
import { WOVEN_JOKER } from './wovenJoker';

/** A procedure that comes with the application, and what is stated of it: a test proves it. */
export interface Worked {
  readonly procedure: Procedure;
  /** How many cases there are, and how they end; undefined where chance enters. */
  readonly proof?: { readonly held: number; readonly outs: number; readonly failed: number };
  /** The plain rule of the cases that fail, for one that is meant to fail, and the one that mends it. */
  readonly fails?: { readonly when: string; readonly mended: string };
  /** What its reset is as steps, where that brings back all that lay on the table: a test does them behind what holds. */
  readonly restore?: readonly Step[];
  /** Between what the chance lies that it holds, where chance enters. */
  readonly chance?: readonly [low: number, high: number];
}

/** To add one: its file, and a row here. */
export const WORKED: readonly Worked[] = [
  TWO_CUTS,
  TURNED_TWICE,
  TURNED_TWICE_DEEPER,
  FOUR_HEAPS,
  FOUR_HEAPS_ASKED,
  DEALT_TWICE_FROM_NONE,
  DEALT_TWICE,
  COUNTED_PACKET,
  COUNT_DOWN,
  DEALT_FREELY,
  TWO_RANKS,
  KEY_AND_LINE,
  KEY_IN_SHUFFLED,
  TWO_AT_NUMBERS,
  MADE_OF_TWO,
  WOVEN_JOKER,
  MIRRORED_HALVES,
  MIRRORED_TWO,
  LIKE_PAIR_UNMINDED,
  LIKE_PAIR,
  SHORT_GROUP,
  RIFFLED_KEY,
  RIFFLED_BANK,
  DEALT_KEY,
  DEALT_KEY_ONE,
  DEALT_KEY_TWO,
  TWIN_HALVES,
  TWIN_HALVES_TWO,
  LOST_AND_PLACED,
  LOST_AND_PLACED_BORROWED,
  OTHER_PACK,
  RUN_IN_DIGITS,
  RUN_IS_SHORT,
  OTHERS_FOLLOW,
];
