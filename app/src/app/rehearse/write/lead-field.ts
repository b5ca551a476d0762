import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import type { StepOf } from '@enumeron/core/file/procedure/procedure';
import { leadTo } from '@enumeron/core/file/rehearse/lead';
import { sayShare } from '@enumeron/core/file/rehearse/sayProof';
import { Desk } from '../desk/desk.store';

/** A range of values to ask for. */
export interface AskedFor {
  readonly from: number;
  readonly to: number;
}

/** How helpers are led: for a wanted chance the range to ask for, by the likelihood stated. */
@Component({
  selector: 'en-lead-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<label>
      lead: in
      <input
        #often
        type="number"
        min="1"
        max="100"
        aria-label="How often they shall choose in the range, times in 100"
        [value]="wanted()"
        (input)="want(often.valueAsNumber)"
      />
      of 100
    </label>
    @if (led(); as led) {
      <span class="led"
        >they choose <strong>{{ led.says }}</strong>&ngsp;<span class="share">({{ led.share }})</span></span
      >
      @if (!led.isAsked) {
        <button type="button" (click)="asked.emit(led)">Ask for this range</button>
      }
    } @else {
      <span class="led">it depends on what was chosen before: say how likely each is</span>
    }`,
  styles: `
    :host {
      display: inline-flex;
      flex-wrap: wrap;
      gap: 0 8px;
      align-items: center;
      min-height: var(--target);
    }

    input {
      width: 4rem;
      min-height: 34px;
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
      color: var(--ink);
      font: 0.9rem var(--mono);
    }

    .share {
      color: var(--muted);
    }

    button {
      min-height: 34px;
      padding: 0 4px;
      border: 0;
      background: none;
      color: var(--petrol);
      font: inherit;
      cursor: pointer;
    }

    @media (max-width: 43.749em) {
      input,
      button {
        min-height: 44px;
      }
    }
  `,
})
export class LeadField {
  readonly step = input.required<StepOf<'choose'>>();
  readonly asked = output<AskedFor>();

  private readonly desk = inject(Desk);
  protected readonly wanted = signal(80);
  protected readonly led = computed(() => {
    const step = this.step();
    const weighed = this.desk.weighedStep(step);
    const found = leadTo(weighed, this.desk.procedure()?.givens, this.wanted() / 100);
    if (!found) return undefined;
    const { from, to, chance } = found;
    return {
      ...{ from, to, share: sayShare(chance), isAsked: step.from === from && step.to === to },
      says: from === to ? from.toString() : `${from.toString()} to ${to.toString()}`,
    };
  });

  protected want(often: number): void {
    if (often >= 1 && often <= 100) this.wanted.set(often);
  }
}
