import { changedAt, Night } from './night';

/** A value as text, its fields by name: alike for what is alike. */
export const textOf = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    typeof inner === 'object' && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)))
      : inner,
  );

/** Which of two states of a night stays: what was changed later; at the same time the greater text. */
export const later = (a: Night, b: Night): Night => {
  const [one, other] = [changedAt(a), changedAt(b)];
  if (one !== other) return one > other ? a : b;
  return textOf(a) >= textOf(b) ? a : b;
};

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
