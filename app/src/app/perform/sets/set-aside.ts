import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { FixedPoint, sayPoint } from '@enumeron/core/file/perform/fixedPoints';
import { MEND_COSTS } from '@enumeron/core/file/perform/costs';
import { TextField } from '../../ui/form/text-field';
import { numberProblem } from '../number-problem';
import { junctionWords, sayCost } from './junction-words';
import { SetDesk } from './set-desk';

const PAIR_KINDS = ['before', 'directly', 'apart'] as const;
type PairKind = (typeof PAIR_KINDS)[number];
const PAIR_WORDS: Readonly<Record<PairKind, string>> = {
  before: 'Before',
  directly: 'Right before',
  apart: 'Not next to',
};

/** Beside a set: what it costs, its best order, what is fixed, the packs and the time. */
@Component({
  selector: 'en-set-aside',
  imports: [MatButton, MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, RouterLink, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './set-aside.html',
  styleUrl: './set-aside.scss',
})
export class SetAside {
  protected readonly desk = inject(SetDesk);
  protected readonly numberProblem = numberProblem;
  protected readonly pairKinds = PAIR_KINDS;
  protected readonly pairWords = (kind: PairKind): string => PAIR_WORDS[kind];

  private readonly words = computed(() => junctionWords(this.desk.junctions(), this.desk.homeOf));
  protected readonly cost = computed(() => {
    const running = this.desk.running();
    return running && sayCost(running, this.words());
  });
  protected readonly broken = computed(() => this.desk.points().filter(({ kept }) => !kept).length);
  /** The minutes of the routines, of the mends in view and of the interval. */
  protected readonly time = computed(() => {
    const set = this.desk.set();
    const mends = Math.round((this.desk.running()?.seconds ?? 0) / 60);
    const interval = set?.interval === undefined ? 0 : (set.intervalMinutes ?? 0);
    const parts = [
      `${countOf(this.desk.minutes(), 'minute')} of routines`,
      ...(mends > 0 ? [`${countOf(mends, 'minute')} of mends`] : []),
      ...(interval > 0 ? [`${countOf(interval, 'minute')} of interval`] : []),
    ];
    return parts.join(', ');
  });
  protected readonly points = computed(() =>
    this.desk.points().map(({ point, kept }) => ({ point, kept, says: sayPoint(point, this.desk.nameOf) })),
  );
  protected readonly chosen = computed(() => {
    const id = this.desk.chosen();
    const lines = this.desk.lines();
    const index = lines.findIndex((line) => line.id === id);
    return index < 0 ? undefined : { ...lines[index], index, isLast: index === lines.length - 1 };
  });
  protected readonly pairs = computed(() => this.desk.lines().filter(({ id }) => id !== this.desk.chosen()));
  protected readonly isPoint = computed(() => {
    const set = this.desk.set();
    return (kind: 'opener' | 'closer' | 'must', id: string): boolean =>
      kind === 'must' ? set?.must.includes(id) === true : set?.[kind] === id;
  });
  /** What each act takes, as it is counted. */
  protected readonly acts = Object.entries(MEND_COSTS).map(([act, { seconds, perCard }]) => ({
    act,
    takes: [
      ...(seconds > 0 ? [`${seconds.toString()} s`] : []),
      ...(perCard > 0 ? [`${perCard.toString()} s a card`] : []),
    ].join(' and '),
  }));

  protected toggle(kind: 'opener' | 'closer' | 'must', id: string): void {
    const point: FixedPoint = { kind, id };
    if (this.isPoint()(kind, id)) this.desk.free(point);
    else this.desk.fix(point);
  }

  protected pair(kind: PairKind, other: string): void {
    this.desk.fix({ kind, pair: [this.desk.chosen(), other] });
  }

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
