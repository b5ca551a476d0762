import { inject, Injectable } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';

/** Short sentences at the foot of the window: what was done, or what went wrong. */
@Injectable({ providedIn: 'root' })
export class Notices {
  private readonly bar = inject(MatSnackBar);

  show(sentence: string): void {
    this.bar.open(sentence, undefined, { duration: 2500 });
  }

  /** Something done that may be taken back at once. */
  offerUndo(sentence: string, undo: () => unknown): void {
    this.bar
      .open(sentence, 'Undo', { duration: 8000 })
      .onAction()
      .subscribe(() => void undo());
  }

  /** Something that must be read: it stays until it is closed. */
  stay(sentence: string): void {
    this.bar.open(sentence, 'Close');
  }
}
