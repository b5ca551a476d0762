import { ChangeDetectionStrategy, Component, inject, Injector } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MatDialog,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogTitle,
} from '@angular/material/dialog';
import { WRITTEN_MOVES } from '@enumeron/core/moves';
import { SettingsStore } from '../nouns/settings/settings.store';
import { WORDS } from './ask/ask';
import { FACT_WORDS } from './ask/ask-facts';
import { ROOMS } from '../rooms';

/** Everything that can be typed and pressed, on one sheet. */
@Component({
  selector: 'en-help-sheet',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './help-sheet.html',
  styles: `
    .columns {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(100%, 17rem), 1fr));
      gap: 0 2.5rem;
      font-size: 0.95rem;
      color: var(--ink);
    }
    dl {
      display: grid;
      grid-template-columns: max-content 1fr;
      gap: 0.35rem 1rem;
      margin: 0.5rem 0 1rem;
    }
    dt {
      font: 700 0.95rem var(--mono);
      color: var(--petrol);
    }
    dd {
      margin: 0;
    }
  `,
})
export class HelpSheet {
  protected readonly words = WORDS.filter((word) => !FACT_WORDS.some((each) => each.word === word.word));
  protected readonly factWords = FACT_WORDS;
  /** Moves that the words above do not have. */
  protected readonly moves = WRITTEN_MOVES.filter(
    ({ usage }) => !WORDS.some(({ word }) => word === usage.split(' ')[0]),
  );
  protected readonly rooms = ROOMS;
  protected readonly singleKeys = inject(SettingsStore).settings().singleKeys;
}

/** Opens the sheet. This module brings Material's dialog with it: load it with `import()`. */
export const openHelp = (injector: Injector): void =>
  void injector.get(MatDialog).open(HelpSheet, { width: '70rem', maxWidth: '96vw', autoFocus: 'dialog' });
