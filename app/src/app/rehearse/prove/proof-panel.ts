import { countOf } from '@enumeron/core/file/deck/countOf';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { kindOf, kindsOf } from '@enumeron/core/file/procedure/walk';
import { chanceWithin } from '@enumeron/core/file/rehearse/lead';
import type { Widest } from '@enumeron/core/file/rehearse/widestRange';
import { pathOf, stepAt } from '@enumeron/core/file/rehearse/editSteps';
import { hasLikely } from '@enumeron/core/file/rehearse/prove';
import { sayProof, sayShare } from '@enumeron/core/file/rehearse/sayProof';
import { ByRecord } from '../../nouns/procedures/by-record';
import { CardText } from '../../ui/card-text';
import { MissingPart } from '../../ui/missing-part';
import { Acting } from '../act/acting.store';
import { sayHeld } from '../act/say-held';
import { Desk } from '../desk/desk.store';
import { CaseGrid } from './case-grid';
import { ChancePanel } from './chance-panel';
import { CurveChart } from './curve-chart';
import { InTime } from './in-time';
import { WeighedLine } from './weighed-line';
import { Proving } from './proving.store';

const ENDS = ['held', 'outs', 'failed'] as const;

const listed = (choices: readonly (readonly [string, number])[]): string =>
  choices.map(([name, value]) => `${name} ${value.toString()}`).join(', ');

/** What proving and weighing have found: one sentence, every case drawn, what fails and what to ask for. */
@Component({
  selector: 'en-proof-panel',
  imports: [
    CardText,
    CaseGrid,
    ChancePanel,
    CurveChart,
    InTime,
    MatButton,
    MatProgressBar,
    MissingPart,
    WeighedLine,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './proof-panel.html',
  styleUrls: ['../../ui/page.scss', './proof-panel.scss'],
})
export class ProofPanel {
  protected readonly desk = inject(Desk);
  protected readonly acting = inject(Acting);
  protected readonly proving = inject(Proving);

  /** The choices that are weighed by the record. */
  protected readonly byRecord = computed(() => this.records.choicesOf(this.desk.id()));
  private readonly records = inject(ByRecord);
  protected readonly isEmpty = computed(() => this.desk.steps().length === 0);
  protected readonly wrong = computed(() => this.desk.wrongSteps() + this.desk.wrongElsewhere().length);
  protected readonly said = computed(() => {
    const study = this.proving.study();
    return study && sayProof(study);
  });
  protected readonly rows = computed(() => {
    const study = this.proving.study();
    if (!study) return [];
    const { proof, chances } = study;
    return (
      [
        ['held', 'works'],
        ['outs', 'out'],
        ['failed', 'fails'],
      ] as const
    ).map(([end, words]) => ({
      ...{ end, words, count: proof[end].toLocaleString('en') },
      // What the others come to is known better than by subtracting.
      chance:
        chances &&
        sayShare(
          chances[end],
          1,
          ENDS.reduce((rest, other) => (other === end ? rest : rest + chances[other]), 0),
        ),
    }));
  });
  protected readonly weighed = computed(() => {
    const right = this.desk.right();
    if (this.byRecord().length > 0) return 'by your record, and as it is stated elsewhere';
    return right && hasLikely(right) ? 'by the likelihood stated at each choice' : 'each choice alike';
  });
  protected readonly running = computed(() => {
    const progress = this.proving.progress();
    if (!progress) return undefined;
    const { held, outs, failed, share } = progress;
    return {
      share: 100 * share,
      words: `${countOf(held + outs + failed, 'case')} so far, ${failed.toLocaleString('en')} of them ${failed === 1 ? 'fails' : 'fail'}`,
    };
  });
  protected readonly first = computed(() => {
    const failure = this.proving.study()?.proof.failures.at(0);
    return (
      failure && {
        values: failure.choices.map(([, value]) => value),
        says: listed(failure.choices),
        ...failure,
      }
    );
  });
  protected readonly widest = computed(() => {
    const widest = this.proving.study()?.widest;
    if (!widest) return undefined;
    const ranges = widest.ranges.map(({ name, from, to }) =>
      from === to ? `${name} is ${from.toString()}` : `${name} is ${from.toString()} to ${to.toString()}`,
    );
    const chance = this.aloneOf(widest.ranges);
    return {
      ...{ ranges: widest.ranges, says: ranges.join(' and '), cases: countOf(widest.cases, 'case') },
      alone: chance === undefined ? '' : sayShare(chance),
    };
  });
  /** How likely they choose in a range by themselves, where one choice has it and its likelihood is stated. */
  private aloneOf(ranges: Widest['ranges']): number | undefined {
    const procedure = this.desk.right();
    if (!procedure || ranges.length !== 1) return undefined;
    const [{ name, from, to }] = ranges;
    const step = procedure.steps.find((each) => each.do === 'choose' && each.name === name);
    return step?.do === 'choose' && step.likely ? chanceWithin(step, procedure.givens, from, to) : undefined;
  }

  /** Two cases that look alike, side by side. */
  protected readonly apart = computed(() => {
    const apart = this.proving.study()?.apart;
    const procedure = this.acting.procedure();
    if (!apart || !procedure) return undefined;
    const step = stepAt(procedure.steps, pathOf(apart.at));
    const kind = step?.do === 'claim known' ? kindOf(step.what, kindsOf(procedure)) : undefined;
    const sides = [apart.one, apart.other].map((choices, index) => {
      const text = sayHeld({ value: apart.values[index], kind: kind ?? 'number' });
      return { says: listed(choices), value: text, values: choices.map(([, each]) => each) };
    });
    return { at: apart.at, sides };
  });
  protected readonly chosen = computed(() => this.acting.choices().map(({ value }) => value));
  protected readonly givens = computed(() => Object.keys(this.desk.right()?.givens ?? {}));

  protected askFor(
    ranges: readonly { readonly name: string; readonly from: number; readonly to: number }[],
  ): void {
    this.desk.narrow(ranges);
  }
}
