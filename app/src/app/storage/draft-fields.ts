import {
  computed,
  effect,
  ElementRef,
  inject,
  Signal,
  signal,
  untracked,
  WritableSignal,
} from '@angular/core';
import { DraftFields, Drafts } from './drafts';
import { DraftRow, DraftValue } from './kinds/drafts';

/** What a component keeps of what is written in it, and what other tabs left of the same subject. */
export interface DraftKeeper {
  /** What tabs that are gone left, the newest first. */
  readonly left: Signal<readonly DraftRow[]>;
  /** Whether this tab had kept anything, once that is known and brought back. */
  readonly brought: Promise<boolean>;
  /** Goes on with what another tab left. */
  take(row: DraftRow): Promise<void>;
  discard(row: DraftRow): Promise<void>;
  /** What was written has been saved, or is not wanted. */
  drop(): Promise<void>;
}

/** A value is taken where it is of the kind that the field holds now, and where the field's own check says so. */
const fits = (now: unknown, value: DraftValue): boolean =>
  now === undefined ||
  value === null ||
  (typeof now === typeof value && Array.isArray(now) === Array.isArray(value));

/**
 * Keeps signals as a draft from the first change on, and brings back what this tab kept of the subject. Call it in
 * the component's constructor.
 *
 * @param subject what is being made: `rule`, `recipe` …
 * @param fields by name, in the draft as in the code.
 * @param takes whether a field takes a value that was kept, where its type alone does not say so.
 */
export const keepDraft = (
  subject: string,
  fields: Readonly<Record<string, WritableSignal<unknown>>>,
  takes: (name: string, value: DraftValue) => boolean = () => true,
): DraftKeeper => {
  const drafts = inject(Drafts);
  // Until its fields are as they were, nothing else fills them (`shared/typed-texts.ts`).
  const host = inject<ElementRef<HTMLElement>>(ElementRef, { optional: true })?.nativeElement;
  host?.setAttribute('data-kept', '');
  const left = signal<readonly DraftRow[]>([]);
  const values = computed<DraftFields>(() =>
    Object.fromEntries(
      Object.entries(fields).map(([name, field]) => [name, (field() ?? null) as DraftValue]),
    ),
  );
  const begun = JSON.stringify(values());
  /** What is kept already, or needs not be. */
  let kept = begun;

  const set = (row: DraftFields): void => {
    for (const [name, field] of Object.entries(fields)) {
      const value = row[name] as DraftValue | undefined;
      if (value !== undefined && fits(field(), value) && takes(name, value)) field.set(value ?? undefined);
    }
  };
  const brought = drafts.find(subject).then((row) => {
    // What has been typed by now is newer.
    if (row && JSON.stringify(untracked(values)) === begun) set(row);
    host?.removeAttribute('data-kept');
    return row !== undefined;
  });
  void brought.then(async () => left.set(await drafts.left(subject)));
  effect(() => {
    const text = JSON.stringify(values());
    if (text === kept) return;
    kept = text;
    void drafts.keep(subject, values());
  });

  const without = (row: DraftRow): void => left.update((rows) => rows.filter(({ id }) => id !== row.id));
  return {
    left,
    brought,
    take: async (row) => {
      set(row.fields);
      without(row);
      await drafts.keep(subject, values());
      await drafts.discard(row);
    },
    discard: async (row) => {
      without(row);
      await drafts.discard(row);
    },
    drop: () => {
      kept = JSON.stringify(untracked(values));
      return drafts.drop(subject);
    },
  };
};
