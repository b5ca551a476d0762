import { ChangeDetectionStrategy, Component, computed, inject, Injector, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialog,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { Room, RoomHelp, Try } from '../../room';
import { Choice } from '../../ui/choice';
import { GlossaryList } from './glossary-list';
import { KeysAndWords } from './keys-and-words';

/** What the sheet has: the room one is in, the words of the craft, what can be typed and pressed anywhere. */
type HelpPart = 'room' | 'words' | 'keys';

/** What is asked: the room one is in, where it is one, and the word that is looked for, where there is one. */
interface AskedHelp {
  readonly room?: Room;
  readonly find?: string;
}

/** Help where one is: what this room is for, what to try, the words and the keys. */
@Component({
  selector: 'en-help-sheet',
  imports: [
    Choice,
    GlossaryList,
    KeysAndWords,
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './help-sheet.html',
  styleUrls: ['./help.scss', './help-sheet.scss'],
})
export class HelpSheet {
  private readonly injector = inject(Injector);
  private readonly dialog = inject<MatDialogRef<HelpSheet>>(MatDialogRef);
  private readonly asked = inject<AskedHelp>(MAT_DIALOG_DATA);
  private readonly room = this.asked.room;

  protected readonly find = this.asked.find ?? '';
  protected readonly parts: readonly HelpPart[] = this.room ? ['room', 'words', 'keys'] : ['words', 'keys'];
  protected readonly part = signal<HelpPart>(this.asked.find === undefined ? this.parts[0] : 'words');
  protected readonly help = signal<RoomHelp | undefined>(undefined);
  protected readonly tries = computed(() => this.help()?.tries(this.injector) ?? []);
  protected readonly title = computed(() => this.sayPart(this.part()));

  constructor() {
    this.room
      ?.help()
      .then((help) => this.help.set(help))
      // The words and the keys are there all the same.
      .catch(() => this.part.set('keys'));
  }

  protected readonly sayPart = (part: HelpPart): string =>
    ({ room: this.room?.name ?? '', words: 'Words', keys: 'Keys and ask line' })[part];

  protected take(each: Try): void {
    this.close();
    void each.go(this.injector);
  }

  protected close(): void {
    this.dialog.close();
  }
}

/** Opens the sheet. This module brings Material's dialog with it: load it with `import()`. */
export const openHelp = (injector: Injector, data: AskedHelp): void =>
  void injector
    .get(MatDialog)
    .open(HelpSheet, { data, width: '70rem', maxWidth: '96vw', autoFocus: 'dialog' });
