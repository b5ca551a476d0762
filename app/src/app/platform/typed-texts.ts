import { TYPED } from './forget-typed';

type Field = HTMLInputElement | HTMLTextAreaElement;

/** What stands in a field and was typed there, and the summaries of what must be open for the field to be there. */
interface Typed {
  readonly path: string;
  readonly text: string;
  readonly inside: readonly string[];
}

const FIELDS = `input:not([type='checkbox'], [type='radio'], [type='file'], [type='range']), textarea`;

/** For so long after a reload, in milliseconds, a field is filled again when its room fills it with what is stored. */
const SETTLING = 3000;
const OFTEN = 100;
/** For so long, in milliseconds, a field that was left is waited for. */
const LONGEST = 30_000;

const isField = (target: EventTarget | null): target is Field =>
  target instanceof Element && target.matches(FIELDS);

/** What a form keeps as a draft comes back by itself, all its fields together. */
const isKept = (field: Field): boolean => field.closest('[data-kept]') !== null;

const nameOf = (field: Field): string =>
  field.getAttribute('aria-label') ??
  [...(field.labels ?? [])].at(0)?.textContent.trim() ??
  field.placeholder;

const lineOf = (field: Field): string => field.closest<HTMLElement>('[data-line]')?.dataset['line'] ?? '';

/** A name that a field has again after a reload: its line, what it is called, and which of those called so it is. */
const keyIn = (document: Document, field: Field): string => {
  const [line, name] = [lineOf(field), nameOf(field)];
  const alike = [...document.querySelectorAll<Field>(FIELDS)].filter(
    (each) => lineOf(each) === line && nameOf(each) === name,
  );
  return [location.pathname, line, name, alike.indexOf(field)].join('\n');
};

const insideOf = (field: Field): readonly string[] => {
  const inside: string[] = [];
  for (let at = field.closest('details'); at; at = at.parentElement?.closest('details') ?? null)
    inside.push(at.querySelector('summary')?.textContent.trim() ?? '');
  return inside;
};

const isTyped = (value: unknown): value is Typed => {
  const { path, text, inside } = (value ?? {}) as Partial<Record<keyof Typed, unknown>>;
  return typeof path === 'string' && typeof text === 'string' && Array.isArray(inside);
};

const remembered = (): ReadonlyMap<string, Typed> => {
  try {
    const read: unknown = JSON.parse(sessionStorage.getItem(TYPED) ?? '{}');
    return new Map(Object.entries(read ?? {}).filter((entry): entry is [string, Typed] => isTyped(entry[1])));
  } catch {
    return new Map();
  }
};

const remember = (typed: ReadonlyMap<string, Typed>): void => {
  try {
    if (typed.size === 0) sessionStorage.removeItem(TYPED);
    else sessionStorage.setItem(TYPED, JSON.stringify(Object.fromEntries(typed)));
  } catch {
    // Without it a reload loses what was typed and not taken yet; nothing else changes.
  }
};

/**
 * Keeps what stands in every field, at each key, so that a reload brings it back: what a room takes only when it is
 * whole (a name, a table, a list with a mistake in it) is nowhere else. Call it once a page.
 */
export const keepTypedTexts = (document: Document): void => {
  /** What was typed on this page, and what it was when its field was left by a reload and has not come yet. */
  const typed = new Map<Field, readonly [key: string, typed: Typed]>();
  const awaited = new Map(remembered());

  const keep = (): void => {
    for (const [field, [, { text }]] of typed)
      if (!field.isConnected || field.value !== text) typed.delete(field);
    for (const [key, { path }] of awaited) if (path !== location.pathname) awaited.delete(key);
    remember(new Map([...awaited, ...typed.values()]));
  };
  const note = (field: Field): void => {
    const key = keyIn(document, field);
    const { value: text } = field;
    if (text === '') typed.delete(field);
    else typed.set(field, [key, { path: location.pathname, text, inside: insideOf(field) }]);
    awaited.delete(key);
  };

  document.addEventListener(
    'input',
    ({ target }) => {
      if (!isField(target)) return;
      note(target);
      keep();
    },
    { capture: true },
  );
  // What was taken, cleared or left with its view is kept no more.
  for (const event of ['change', 'focusout', 'keyup', 'click'])
    document.addEventListener(event, () => {
      if (typed.size + awaited.size > 0) queueMicrotask(keep);
    });
  document.defaultView?.addEventListener('pagehide', keep);

  if (awaited.size > 0) bringBack(document, awaited);
};

/** Puts what was typed back into its fields as they come. */
const bringBack = (document: Document, awaited: Map<string, Typed>): void => {
  const filled = new Map<Field, string>();
  const began = performance.now();
  let last = began;
  let isTouched = false;
  for (const event of ['keydown', 'pointerdown'])
    document.addEventListener(event, () => (isTouched = true), { capture: true, once: true });
  const look = (): void => {
    const here = [...awaited].filter(([, { path }]) => path === location.pathname);
    const summaries = new Set(here.flatMap(([, { inside }]) => inside));
    if (summaries.size > 0)
      for (const details of document.querySelectorAll('details:not([open])'))
        if (summaries.has(details.querySelector('summary')?.textContent.trim() ?? ''))
          details.setAttribute('open', '');
    const wanted = new Map(here);
    for (const field of document.querySelectorAll<Field>(FIELDS)) {
      const key = keyIn(document, field);
      const text = filled.get(field) ?? wanted.get(key)?.text;
      if (text === undefined || isKept(field)) continue;
      // What was stored may have come into it meanwhile; what the user has done by now is newer.
      if (field.value !== text && (!isTouched || !filled.has(field))) fill(field, text);
      awaited.delete(key);
      if (!filled.has(field)) last = performance.now();
      filled.set(field, text);
    }
    const now = performance.now();
    // A field may come long after the page, on a slow machine.
    const isAwaited = here.length > 0 && now - began < LONGEST;
    if (isAwaited || now - last < SETTLING) setTimeout(look, OFTEN);
  };
  setTimeout(look);
};

const fill = (field: Field, text: string): void => {
  field.value = text;
  field.dispatchEvent(new Event('input', { bubbles: true }));
  // A browser tells of a change only where the user made it.
  const told = new AbortController();
  const { signal } = told;
  field.addEventListener('change', () => told.abort(), { signal });
  field.addEventListener('blur', () => field.dispatchEvent(new Event('change', { bubbles: true })), {
    signal,
    once: true,
  });
};
