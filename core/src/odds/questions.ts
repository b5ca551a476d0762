import { OddsQuestion } from './question';
import { ADJACENT_MATES } from './questions/adjacentMates';
import { BREAK_SHOWS } from './questions/breakShows';
import { CALLED_RANK } from './questions/calledRank';
import { CUT_IN_BANK } from './questions/cutInBank';
import { KEY_STAYS } from './questions/keyStays';
import { NEAR_NUMBER } from './questions/nearNumber';
import { RANKS_MEET } from './questions/ranksMeet';
import { SAME_CARD } from './questions/sameCard';
import { UNTIL_BANK } from './questions/untilBank';

/** Every question of chance. To add one: its file, and a row here. */
export const QUESTIONS: readonly OddsQuestion[] = [
  ADJACENT_MATES,
  RANKS_MEET,
  CALLED_RANK,
  NEAR_NUMBER,
  CUT_IN_BANK,
  UNTIL_BANK,
  KEY_STAYS,
  SAME_CARD,
  BREAK_SHOWS,
];

export const questionAt = (path: string): OddsQuestion | undefined =>
  QUESTIONS.find((question) => question.path === path);
