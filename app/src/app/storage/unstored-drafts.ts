import type { DraftRow } from './kinds/drafts';

/** What was written last about a subject, and when; without fields where the draft was taken away. */
export interface Unstored {
  readonly subject: string;
  readonly at: number;
  readonly fields?: DraftRow['fields'];
}

/** Before a tab's id, the name in local storage of what it has not stored yet. */
const KEY = 'enumeron-drafts ';

/**
 * Keeps what a tab has not stored yet, in place of what was kept of it before. Local storage is written at once, so
 * that no more than the key in flight is lost when the tab is closed while the database has not answered.
 */
export const keepUnstored = (tab: string, drafts: readonly Unstored[]): void => {
  try {
    if (drafts.length === 0) localStorage.removeItem(KEY + tab);
    else localStorage.setItem(KEY + tab, JSON.stringify(drafts));
  } catch {
    // Without it a tab that is closed at the wrong moment loses the last keys; nothing else changes.
  }
};

/** What a tab had not stored when it was left, as far as it is of the right shape. */
export const unstoredOf = (tab: string): readonly Unstored[] => {
  try {
    const drafts: unknown = JSON.parse(localStorage.getItem(KEY + tab) ?? '[]');
    return Array.isArray(drafts) ? drafts.filter(isUnstored) : [];
  } catch {
    return [];
  }
};

/** The ids of the tabs that have not stored all, open or not. */
export const tabsWithUnstored = (): readonly string[] => {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(KEY))
      .map((key) => key.slice(KEY.length));
  } catch {
    return [];
  }
};

const isUnstored = (value: unknown): value is Unstored => {
  const { subject, at, fields } = (value ?? {}) as Partial<Record<keyof Unstored, unknown>>;
  return (
    typeof subject === 'string' &&
    typeof at === 'number' &&
    (fields === undefined || (isObject(fields) && Object.values(fields).every(isDraftValue)))
  );
};

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

const isDraftValue = (value: unknown): boolean =>
  value === null || Array.isArray(value) || ['string', 'number', 'boolean'].includes(typeof value);
