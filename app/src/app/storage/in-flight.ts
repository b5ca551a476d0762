import { Write } from './action';

/** One action as the rows that it changed when it was done, so that it can be kept as text. */
export interface LeftAction {
  readonly label: string;
  readonly about?: string;
  readonly writes: readonly {
    readonly kind: string;
    readonly key: string;
    readonly before?: unknown;
    readonly after?: unknown;
  }[];
}

const KEY = 'enumeron-in-flight';
/** Larger ones (restoring a backup) show nothing before they are stored, so that nothing is lost with them. */
const LIMIT = 200_000;

export const leftAction = (
  label: string,
  about: string | undefined,
  writes: readonly Write[],
): LeftAction => ({
  label,
  about,
  writes: writes.map(({ place, before, after }) => ({
    kind: place.kind.name,
    key: place.key,
    before,
    after,
  })),
});

/**
 * Actions that show already but are not in the database yet, or in one in memory alone, in the tab's own session
 * storage, which is written at once: a tab that is closed or reloaded meanwhile writes them when it opens again.
 */
export const keepInFlight = (actions: readonly LeftAction[]): void => {
  try {
    const text = JSON.stringify(actions);
    if (actions.length === 0 || text.length > LIMIT) sessionStorage.removeItem(KEY);
    else sessionStorage.setItem(KEY, text);
  } catch {
    // Without it a reload at the wrong moment loses the last action; nothing else changes.
  }
};

/** What was in flight when this tab was last left, as far as it is of the right shape. */
export const leftInFlight = (): readonly LeftAction[] => readLeft(() => sessionStorage.getItem(KEY));

/** Where what closed tabs had not stored lies in local storage. */
export const PASSED = 'enumeron-passed-on';

/** Hands on what is not stored yet while the tab is closed: another one that is open does it, or the next that opens. */
export const passOn = (actions: readonly LeftAction[]): void => {
  if (actions.length === 0) return;
  try {
    const text = JSON.stringify([...readLeft(() => localStorage.getItem(PASSED)), ...actions]);
    if (text.length <= LIMIT) localStorage.setItem(PASSED, text);
  } catch {
    // As above.
  }
};

/** What closed tabs handed on; whoever takes it has it alone. */
export const takePassedOn = (): readonly LeftAction[] => {
  const passed = readLeft(() => localStorage.getItem(PASSED));
  if (passed.length > 0) localStorage.removeItem(PASSED);
  return passed;
};

const readLeft = (text: () => string | null): readonly LeftAction[] => {
  try {
    const left: unknown = JSON.parse(text() ?? '[]');
    return Array.isArray(left) ? left.filter(isLeftAction) : [];
  } catch {
    return [];
  }
};

/** Whether a value is of the right shape. */
export const isLeftAction = (value: unknown): value is LeftAction => {
  const { label, writes } = (value ?? {}) as Partial<LeftAction>;
  return (
    typeof label === 'string' &&
    Array.isArray(writes) &&
    writes.every((write: unknown) => {
      const { kind, key } = (write ?? {}) as Partial<LeftAction['writes'][number]>;
      return typeof kind === 'string' && typeof key === 'string';
    })
  );
};
