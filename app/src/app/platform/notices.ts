import { inject, Injectable, Injector } from '@angular/core';
import type { MatSnackBar } from '@angular/material/snack-bar';
import { Scripts } from './scripts';

/** Short sentences at the foot of the window: what was done, or what went wrong. */
@Injectable({ providedIn: 'root' })
export class Notices {
  private readonly injector = inject(Injector);
  private readonly scripts = inject(Scripts);

  async show(sentence: string): Promise<void> {
    (await this.bar()).open(sentence, undefined, { duration: 2500 });
  }

  /** Something done that may be taken back at once. */
  offerUndo(sentence: string, undo: () => unknown): Promise<void> {
    return this.offer(sentence, 'Undo', undo);
  }

  /** A sentence, and what can be done about it. @param duration how long it stays, in milliseconds; 0 until it is closed. */
  async offer(sentence: string, action: string, act: () => unknown, duration = 8000): Promise<void> {
    const shown = (await this.bar()).open(sentence, action, { duration });
    shown.onAction().subscribe(() => void act());
  }

  /** Something that must be read: it stays until it is closed. */
  async stay(sentence: string): Promise<void> {
    (await this.bar()).open(sentence, 'Close');
  }

  /** The bar's script comes with the first notice. */
  private async bar(): Promise<MatSnackBar> {
    const { MatSnackBar } = await this.scripts.load(() => import('@angular/material/snack-bar'));
    return this.injector.get(MatSnackBar);
  }
}
