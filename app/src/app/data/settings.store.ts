import { computed, inject, Injectable } from '@angular/core';
import { DATABASE } from './db';
import { DEFAULT_SETTINGS, SettingsRow } from './rows';
import { StateRows } from './state-row';

/** How the user wants Enumeron to look and act. */
@Injectable({ providedIn: 'root' })
export class SettingsStore {
  private readonly db = inject(DATABASE);
  private readonly row = inject(StateRows).live<SettingsRow>(DEFAULT_SETTINGS);

  readonly settings = this.row.value;
  /** Which handlings the performer is happy to use. */
  readonly tolerance = computed(() => this.settings().tolerance ?? DEFAULT_SETTINGS.tolerance);

  change(part: Partial<Omit<SettingsRow, 'id'>>): Promise<void> {
    const next = { ...this.settings(), ...part };
    return this.row.set(next, () => this.db.state.put(next));
  }
}
