import { Kind } from '../kind';
import { BACKUPS } from './backups';
import { BESIDE } from './beside';
import { DAMAGED } from './damaged';
import { DRAFTS } from './drafts';
import { FACTS } from './facts';
import { IMAGES } from './images';
import { ITEMS } from './items';
import { JOURNAL } from './journal';
import { LATELY } from './lately';
import { LEARNING } from './learning';
import { ORDERS } from './orders';
import { PACK } from './pack';
import { PATTERNS_TOLD } from './patterns';
import { PRACTICE } from './practice';
import { PROCEDURES } from './procedures';
import { REVIEWS } from './reviews';
import { RUNS } from './runs';
import { SCHEDULES } from './schedules';
import { SEEDED } from './seeded';
import { SENT } from './sent';
import { SETTINGS } from './settings';
import { SNAPSHOTS } from './snapshots';
import { SUMS } from './sums';
import { WANTED } from './wanted';
import { WEAVE_ROWS } from './weave-rows';
import { WEAVES_DONE } from './weaves';
import { WEAVING } from './weaving';

/** The version of all that is stored, and of a backup. A kind says what it does to bring a row to a later one. */
export const DATA_VERSION = 8;

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
];

export const kindNamed = (name: string): Kind | undefined => KINDS.find((kind) => kind.name === name);

/** The kind of a stored row, or undefined when no kind has it. */
export const kindAt = (table: string, key: unknown): Kind | undefined =>
  KINDS.find((kind) => kind.table === table && (kind.single === undefined || kind.single.key === key));
