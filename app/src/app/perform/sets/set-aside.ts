import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { FixedPoint, sayPoint } from '@enumeron/core/file/perform/fixedPoints';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { ByRecord } from '../../nouns/procedures/by-record';
import { TextField } from '../../ui/form/text-field';
import { numberProblem } from '../number-problem';
import { SetDesk } from './set-desk';

/** Beside a set: what is fixed, its packs, and what acts take. */
@Component({
  selector: 'en-set-aside',
  imports: [RouterLink, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './set-aside.html',
  styleUrl: './set-aside.scss',
})
export class SetAside {
  protected readonly desk = inject(SetDesk);
  private readonly byRecord = inject(ByRecord);
  protected readonly numberProblem = numberProblem;
  protected readonly points = computed(() =>
    this.desk.points().map(({ point, kept }) => ({ point, kept, says: sayPoint(point, this.desk.nameOf) })),
  );
  /** What each act takes, as it is counted. */
  protected readonly acts = computed(() =>
    Object.entries(this.desk.costs()).map(([act, { seconds, perCard }]) => {
      const timed = this.byRecord.timed(act);
      return {
        act,
        takes: [
          ...(seconds > 0 ? [`${seconds.toString()} s`] : []),
          ...(perCard > 0 ? [`${perCard.toString()} s a card`] : []),
        ].join(' and '),
        timed: timed === 0 ? '' : `by your ${countOf(timed, 'time')}`,
      };
    }),
  );

  protected setMinutes(text: string): void {
    if (text.trim() !== '') this.desk.fix({ kind: 'minutes', most: Number(text) });
    else this.desk.free({ kind: 'minutes', most: 0 });
  }

  protected setIntervalMinutes(text: string): void {
    this.desk.change('change the interval', (set) => ({ ...set, intervalMinutes: Number(text) }));
  }

  protected setSpares(pack: string, text: string): void {
    this.desk.change(`change the spares of ${pack}`, (set) => ({
      ...set,
      spares: { ...set.spares, [pack]: Number(text) },
    }));
  }

  protected toggleChoose(): void {
    const point: FixedPoint = { kind: 'choose' };
    if (this.desk.set()?.choose) this.desk.free(point);
    else this.desk.fix(point);
  }
}
