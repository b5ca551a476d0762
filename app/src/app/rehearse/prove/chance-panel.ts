import { countOf } from '@enumeron/core/file/deck/countOf';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Estimate } from '@enumeron/core/file/odds/interval';
import { sayBetween, sayShare } from '@enumeron/core/file/odds/sayShare';
import { claimsAnything } from '@enumeron/core/file/procedure/walk';
import { NOTHING_CLAIMED } from '@enumeron/core/file/rehearse/sayProof';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { Desk } from '../desk/desk.store';

/** How far the interval may go to either side, in hundredths. */
const WIDTHS = [3, 2, 1, 0.5] as const;
const MOST_WORLDS = 2_000_000;
const BUDGET = 20_000_000_000;

const inHundredths = ({ share, low, high }: Estimate): { share: string; between: string } => ({
  share: sayShare(share),
  between: sayBetween(low, high),
});

/** Where cards are shuffled by chance: how often it works, tried until that is known as closely as asked. */
@Component({
  selector: 'en-chance-panel',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div class="answer" [class.old]="!ended()">
      @if (found(); as found) {
        <h2 id="proof-title" aria-live="polite">
          {{ found.claims ? 'It works in about ' + found.held.share : nothing }}
        </h2>
        <p>
          Between {{ found.held.between }}, nineteen times in twenty: {{ found.worlds }} with every choice and
          shuffle drawn by chance.
        </p>
      } @else {
        <h2 id="proof-title">Trying</h2>
        <p>Chance enters: every choice and shuffle is drawn.</p>
      }
    </div>
    @if (found(); as found) {
      <table>
        <caption class="spoken">
          How the tries end
        </caption>
        <tbody>
          @for (row of found.rows; track row.words) {
            <tr>
              <th scope="row">{{ row.words }}</th>
              <td>{{ row.share }}</td>
              <td class="between">between {{ row.between }}</td>
            </tr>
          }
        </tbody>
      </table>
      @if (found.leftOut !== '') {
        <p class="note">{{ found.leftOut }}: they were asked to choose something else.</p>
      }
      @if (found.unjudged !== '') {
        <p class="note">
          Whether you can know what step {{ found.unjudged }} claims cannot be told by trying.
        </p>
      }
    }
    <p class="row">
      <label>
        to within
        <select #wide (change)="width.set(+wide.value)">
          @for (each of widths; track each) {
            <option [value]="each" [selected]="each === width()">{{ each }} %</option>
          }
        </select>
      </label>
      <label>
        seed
        <input #start type="number" step="1" min="1" [value]="seed()" (change)="seedFrom(start.value)" />
      </label>
      @if (!ended()) {
        <button mat-button type="button" (click)="stopped.set(!stopped())">
          {{ stopped() ? 'Go on' : 'Stop' }}
        </button>
      }
    </p>`,
  styleUrls: ['../../ui/page.scss', './proof-panel.scss'],
  styles: `
    .between {
      color: var(--muted);
      font-weight: 400;
    }

    .row label {
      display: inline-flex;
      gap: 6px;
      align-items: center;
    }

    .row input {
      width: 6rem;
    }
  `,
})
export class ChancePanel {
  private readonly desk = inject(Desk);

  protected readonly nothing = NOTHING_CLAIMED;
  protected readonly widths = WIDTHS;
  protected readonly width = signal<number>(2);
  protected readonly seed = signal(1);
  protected readonly stopped = signal(false);

  private readonly asked = computed(() => {
    const procedure = this.desk.settled();
    if (!procedure || this.stopped()) return undefined;
    // To either side: the whole interval is twice as wide.
    return {
      procedure,
      seed: this.seed(),
      worlds: MOST_WORLDS,
      width: (2 * this.width()) / 100,
      budget: BUDGET,
    };
  });
  private readonly job = jobView('estimate', this.asked);
  protected readonly ended = computed(() => answerOf(this.job()) !== undefined);
  protected readonly found = computed(() => {
    const view = this.job();
    if (!view || view.kind === 'failed') return undefined;
    const so = view.kind === 'ended' ? view.result : view.progress;
    if (so.worlds === 0) return undefined;
    return {
      claims: claimsAnything(view.asked.procedure.steps),
      held: inHundredths(so.held),
      worlds: countOf(so.worlds, 'try', 'tries'),
      leftOut:
        so.leftOut === 0
          ? ''
          : `${countOf(so.leftOut, 'try', 'tries')} ${so.leftOut === 1 ? 'is' : 'are'} left out`,
      unjudged: so.unjudged.join(', '),
      rows: [
        { words: 'works', ...inHundredths(so.held) },
        { words: 'out', ...inHundredths(so.outs) },
        { words: 'fails', ...inHundredths(so.failed) },
      ],
    };
  });

  protected seedFrom(text: string): void {
    const seed = Number(text);
    if (Number.isSafeInteger(seed) && seed > 0) this.seed.set(seed);
  }
}
