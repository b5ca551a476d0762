import { computed, inject, Injectable } from '@angular/core';
import { Tolerance } from '@enumeron/core/reckon';
import { Journal } from '../../storage/journal';
import { onlyPlace } from '../../storage/kind';
import { DEFAULT_SETTINGS, SETTINGS, SettingsRow } from './settings.kind';
import { Rows } from '../../storage/rows';

const PLACE = onlyPlace(SETTINGS);

/** How the user wants Enumeron to look and act. */
@Injectable({ providedIn: 'root' })
export class SettingsStore {
  private readonly journal = inject(Journal);

  readonly settings = inject(Rows).only(PLACE);
  /** Which handlings the performer is happy to use. */
  readonly tolerance = computed(() => this.settings().tolerance ?? DEFAULT_SETTINGS.tolerance);

  change(part: Partial<Omit<SettingsRow, 'id' | 'tolerance'>>): Promise<unknown> {
    return this.journal.commit('change a setting', [PLACE], ([settings]) => [{ ...settings, ...part }]);
  }

  /** Changes which handlings the performer is happy to use. */
  tolerate(part: Partial<Tolerance>): Promise<unknown> {
    return this.journal.commit('change which handlings come first', [PLACE], ([settings]) => [
      { ...settings, tolerance: { ...(settings.tolerance ?? DEFAULT_SETTINGS.tolerance), ...part } },
    ]);
  }
}
