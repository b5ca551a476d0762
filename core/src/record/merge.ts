import { laterOf, textOf } from '../deck/textOf';
import { changedAt, Night } from './night';

/** Which of two states of a night stays. */
const later = (a: Night, b: Night): Night =>
  laterOf({ changed: changedAt(a), value: a }, { changed: changedAt(b), value: b }).value;

/** What comes of merging: every night, and what that changes of those that were here. */
export interface Merged {
  readonly nights: readonly Night[];
  /** Those that were not here; those that are another now; those that are removed. */
  readonly added: readonly Night[];
  readonly changed: readonly Night[];
  readonly removed: readonly Night[];
}

/**
 * Merges what comes into what is here. Whichever goes first, two devices come to the same state.
 *
 * @param here every night that is here, those that were removed too.
 */
export const mergeNights = (here: readonly Night[], coming: readonly Night[]): Merged => {
  const byId = new Map(here.map((night) => [night.id, night]));
  const touched = new Set<string>();
  for (const night of coming) {
    const mine = byId.get(night.id);
    const stays = mine ? later(mine, night) : night;
    if (stays === mine || (mine && textOf(stays) === textOf(mine))) continue;
    byId.set(night.id, stays);
    touched.add(night.id);
  }
  const before = new Map(here.map((night) => [night.id, night]));
  const isHere = (id: string): boolean => before.has(id) && !before.get(id)?.removed;
  const now = [...touched].flatMap((id) => byId.get(id) ?? []);
  return {
    nights: [...byId.values()].sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : 0)),
    added: now.filter(({ id, removed }) => !removed && !isHere(id)),
    changed: now.filter(({ id, removed }) => !removed && isHere(id)),
    removed: now.filter(({ id, removed }) => removed && isHere(id)),
  };
};
