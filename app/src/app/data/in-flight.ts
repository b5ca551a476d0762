import { Write } from './journal';

/** One action as the journal is asked to write it. */
export interface Action {
  readonly label: string;
  readonly writes: readonly Write[];
}

const KEY = 'enumeron-in-flight';
/** Larger ones (restoring a backup) show nothing before they are stored, so that nothing is lost with them. */
const LIMIT = 200_000;

/**
 * Actions that show already but are not in the database yet, in the tab's own session storage, which is written
 * at once: a tab that is closed or reloaded within those milliseconds writes them when it opens again.
 */
export const keepInFlight = (actions: readonly Action[]): void => {
  try {
    const text = JSON.stringify(actions);
    if (actions.length === 0 || text.length > LIMIT) sessionStorage.removeItem(KEY);
    else sessionStorage.setItem(KEY, text);
  } catch {
    // Without it a reload at the wrong moment loses the last action; nothing else changes.
  }
};

/** What was in flight when this tab was last left. */
export const leftInFlight = (): unknown => {
  try {
    return JSON.parse(sessionStorage.getItem(KEY) ?? '[]');
  } catch {
    return [];
  }
};
