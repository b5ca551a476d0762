import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatTooltip } from '@angular/material/tooltip';
import { RouterLink } from '@angular/router';
import { BackupsStore } from '../nouns/backups/backups.store';
import { Icons } from '../ui/icons';
import { urlSignal } from '../platform/url';
import { lineAt } from '../rooms';
import { Journal } from '../storage/journal';

/** What is at hand in every room: undo, redo, help, settings. */
@Component({
  selector: 'en-tools',
  imports: [MatIcon, MatIconButton, MatTooltip, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './tools.html',
  styles: `
    :host {
      display: flex;
      justify-content: flex-end;
    }
    .settings {
      position: relative;
    }
    .overdue {
      position: absolute;
      top: 8px;
      right: 8px;
      width: 8px;
      height: 8px;
      border-radius: 50%;
      background: var(--gold);
    }
    .ask {
      display: none;
    }
    @media (max-width: 43.749em) {
      .ask {
        display: block;
      }
      .redo {
        display: none;
      }
    }
  `,
})
export class Tools {
  constructor() {
    inject(Icons);
  }

  protected readonly journal = inject(Journal);
  private readonly url = urlSignal();
  /** The line of undo of what is open. */
  protected readonly line = computed(() => lineAt(this.url()));
  protected readonly overdue = inject(BackupsStore).overdue;
  readonly ask = output();
  readonly undo = output();
  readonly redo = output();
  readonly share = output();
  readonly help = output();
}
