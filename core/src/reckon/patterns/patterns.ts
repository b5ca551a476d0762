import { COMPOSED_CARD } from './composedCard';
import { COUNT_DOWN } from './countDown';
import { DEALT_BACK } from './dealtBack';
import { GAP } from './gapCards';
import { KEY_CARD_PATTERN } from './keyCard';
import { NEXT_RANKS } from './digitSum';
import { NUMBER_LINE } from './numberLine';
import { PACKET } from './bankPacket';
import { SHORT_GROUP } from './shortGroup';
import { TWO_CARDS } from './twoCards';
import { TWO_CUTS } from './twoCuts';
import { Pattern } from './pattern';

/** Every pattern. To add one: its file, a row here, and a way in where it is asked for. */
export const PATTERNS: readonly Pattern[] = [
  NUMBER_LINE,
  TWO_CARDS,
  TWO_CUTS,
  PACKET,
  COUNT_DOWN,
  NEXT_RANKS,
  COMPOSED_CARD,
  GAP,
  SHORT_GROUP,
  KEY_CARD_PATTERN,
  DEALT_BACK,
];
