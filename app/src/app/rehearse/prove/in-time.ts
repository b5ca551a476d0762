import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Proof } from '@enumeron/core/file/rehearse/prove';
import { sayInTime } from '@enumeron/core/file/rehearse/sayInTime';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { CardText } from '../../ui/card-text';
import { Desk } from '../desk/desk.store';

/** Where the cases that do not hold show it first, how many these are, and which outs are open there. */
@Component({
  selector: 'en-in-time',
  imports: [CardText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `@if (said(); as all) {
    @if (all.length > 0) {
      <h3>When a miss shows</h3>
      <ul>
        @for (each of all; track $index) {
          <li>
            <p>
              <strong>{{ each.when }}</strong>&ngsp;<span class="how">({{ each.how }})</span>
              <button type="button" class="link" (click)="desk.choose(each.at)">Show the step</button>
            </p>
            <p class="step"><en-card-text [text]="each.step" /></p>
            <p>{{ each.outs }}</p>
          </li>
        }
      </ul>
    }
  }`,
  styleUrls: ['../../ui/page.scss', './in-time.scss'],
})
export class InTime {
  readonly proof = input.required<Proof>();
  protected readonly desk = inject(Desk);
  private readonly view = jobView('in time', () => {
    const procedure = this.desk.settled();
    const { outs, failed, complete } = this.proof();
    return procedure && complete && outs + failed > 0 ? { procedure } : undefined;
  });
  protected readonly said = computed(() => {
    const view = this.view();
    const shows = answerOf(view);
    return view && shows && sayInTime(shows, view.asked.procedure, this.proof());
  });
}
