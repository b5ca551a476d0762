import { DOCUMENT, effect, inject, Injectable } from '@angular/core';
import { WholeScreen } from '../platform/whole-screen';
import { SettingsStore } from '../nouns/settings/settings.store';

/** Carries the look that the user chose to the document, where the style sheets take it up. */
@Injectable({ providedIn: 'root' })
export class Theme {
  constructor() {
    const { settings } = inject(SettingsStore);
    const { isTaken } = inject(WholeScreen);
    const { dataset } = inject(DOCUMENT).documentElement;
    effect(() => {
      const { theme, suitTints } = settings();
      // On stage it is dim, whatever was chosen.
      if (isTaken()) dataset['theme'] = 'wings';
      else if (theme === 'system') delete dataset['theme'];
      else dataset['theme'] = theme;
      dataset['suits'] = suitTints ? 'four' : 'two';
    });
  }
}
