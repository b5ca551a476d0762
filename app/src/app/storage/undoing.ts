import { inject, Injectable } from '@angular/core';
import { Notices } from '../platform/notices';
import { Journal } from './journal';
import { Line } from './kind';

/** Undo and redo as the user asks for them: what was done is said, and so is why it was not. */
@Injectable({ providedIn: 'root' })
export class Undoing {
  private readonly journal = inject(Journal);
  private readonly notices = inject(Notices);

  undo(line: Line): Promise<void> {
    return this.step('undo', line, false);
  }

  redo(line: Line): Promise<void> {
    return this.step('redo', line, false);
  }

  private async step(way: 'undo' | 'redo', line: Line, overwrite: boolean): Promise<void> {
    try {
      const step = await this.journal[way](line, overwrite);
      const done = way === 'undo' ? 'undone' : 'done again';
      if (step.kind === 'nothing') await this.notices.show(`There is nothing to ${way}.`);
      else if (step.kind === 'done') await this.notices.show(`${step.label}: ${done}`);
      else
        await this.notices.offer(
          `“${step.label}” was not ${done}: that would also take back a later change (${step.what}).`,
          'Do it anyway',
          () => this.step(way, line, true),
        );
    } catch (error) {
      console.warn(error);
      await this.notices.stay(`Could not ${way}: storage refused. Nothing has changed; try again.`);
    }
  }
}
