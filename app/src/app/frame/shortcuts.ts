import { DOCUMENT, inject, Injectable } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { filter, fromEvent } from 'rxjs';
import { WholeScreen } from '../platform/whole-screen';
import { SettingsStore } from '../nouns/settings/settings.store';

/** Keys and what they do. A key is a character, or `mod+` and a character for Ctrl or Command. */
export type Shortcuts = Readonly<Record<string, () => void>>;

const TYPING = 'input, textarea, select, [contenteditable]';

/** What takes every key while it is open. */
const OVER_ALL = '[role=menu], [role=dialog]';

/** The name under which a key press is looked up. */
const nameOf = (event: KeyboardEvent): string => {
  const modified = event.ctrlKey || event.metaKey;
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  return `${modified ? 'mod+' : ''}${event.shiftKey && /^[a-z]$/.test(key) ? 'shift+' : ''}${key}`;
};

/** Runs keyboard shortcuts outside of text fields, menus and dialogs. */
@Injectable({ providedIn: 'root' })
export class ShortcutKeys {
  private readonly settings = inject(SettingsStore).settings;
  private readonly isTaken = inject(WholeScreen).isTaken;
  private shortcuts: Shortcuts = {};

  constructor() {
    const document = inject(DOCUMENT);
    fromEvent<KeyboardEvent>(document, 'keydown')
      .pipe(
        filter((event) => !event.defaultPrevented && !event.altKey && !this.isTaken()),
        filter((event) => !(event.target instanceof Element && event.target.closest(TYPING))),
        filter(() => document.querySelector(OVER_ALL) === null),
        takeUntilDestroyed(),
      )
      .subscribe((event) => this.run(event));
  }

  use(shortcuts: Shortcuts): void {
    this.shortcuts = shortcuts;
  }

  private run(event: KeyboardEvent): void {
    const name = nameOf(event);
    const single = !name.startsWith('mod+');
    if (!Object.hasOwn(this.shortcuts, name) || (single && !this.settings().singleKeys)) return;
    event.preventDefault();
    this.shortcuts[name]();
  }
}
