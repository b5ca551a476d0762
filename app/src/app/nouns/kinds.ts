import { Kind } from '../storage/kind';
import { BACKUPS } from './backups/backups.kind';
import { BESIDE } from './pack/beside.kind';
import { DAMAGED } from '../storage/kinds/damaged';
import { DRAFTS } from '../storage/kinds/drafts';
import { FACTS } from './pack/facts.kind';
import { IMAGES } from './learning/images.kind';
import { ITEMS } from './learning/items.kind';
import { JOURNAL } from '../storage/kinds/journal';
import { LATELY } from './settings/lately.kind';
import { LEARNING } from './learning/learning.kind';
import { ORDERS } from './orders/orders.kind';
import { PACK } from './pack/pack.kind';
import { PATTERNS_TOLD } from './pack/patterns.kind';
import { PRACTICE } from './learning/practice.kind';
import { ON_STAGE, TAPS } from './performances/live.kind';
import { BY_RECORD, FITTED } from './procedures/by-record.kind';
import { PERFORMANCES } from './performances/performances.kind';
import { PROCEDURES } from './procedures/procedures.kind';
import { ROUTINES } from './sets/routines.kind';
import { REVIEWS } from './learning/reviews.kind';
import { RUNS } from './learning/runs.kind';
import { SCHEDULES } from './learning/schedules.kind';
import { SEEDED } from '../storage/kinds/seeded';
import { SENT } from './procedures/sent.kind';
import { SETS } from './sets/sets.kind';
import { SETTINGS } from './settings/settings.kind';
import { SNAPSHOTS } from './backups/snapshots.kind';
import { SUMS } from './learning/sums.kind';
import { VERDICTS } from './procedures/verdicts.kind';
import { WORKED_OUT_PACKS } from './sets/worked-out.kind';
import { WANTED } from './pack/wanted.kind';
import { WEAVE_ROWS } from './weaves/weave-rows.kind';
import { WEAVES_DONE } from './weaves/weaves.kind';
import { WEAVING } from './weaves/weaving.kind';

/** The version of all that is stored, and of a backup. A kind says what it does to bring a row to a later one. */
export const DATA_VERSION = 12;

/** Every kind of stored row. To add one: its file, and its name here. */
export const KINDS: readonly Kind[] = [
  ORDERS,
  PACK,
  BESIDE,
  WANTED,
  FACTS,
  PATTERNS_TOLD,
  SETTINGS,
  DRAFTS,
  DAMAGED,
  JOURNAL,
  SNAPSHOTS,
  SEEDED,
  BACKUPS,
  LATELY,
  ITEMS,
  REVIEWS,
  LEARNING,
  PRACTICE,
  SUMS,
  IMAGES,
  RUNS,
  SCHEDULES,
  WEAVING,
  WEAVE_ROWS,
  WEAVES_DONE,
  PROCEDURES,
  SENT,
  VERDICTS,
  ROUTINES,
  SETS,
  WORKED_OUT_PACKS,
  PERFORMANCES,
  BY_RECORD,
  FITTED,
  ON_STAGE,
  TAPS,
];

export const kindNamed = (name: string): Kind | undefined => KINDS.find((kind) => kind.name === name);
