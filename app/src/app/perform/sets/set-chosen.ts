import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { RouterLink } from '@angular/router';
import { FixedPoint } from '@enumeron/core/file/perform/fixedPoints';
import { SetDesk } from './set-desk';

const PAIR_KINDS = ['before', 'directly', 'apart'] as const;
type PairKind = (typeof PAIR_KINDS)[number];
const PAIR_WORDS: Readonly<Record<PairKind, string>> = {
  before: 'Before',
  directly: 'Right before',
  apart: 'Not next to',
};

/** What can be done with the routine that is chosen: moved, opened, taken out, fixed where it stands. */
@Component({
  selector: 'en-set-chosen',
  imports: [MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './set-chosen.html',
  styleUrl: './set-aside.scss',
})
export class SetChosen {
  protected readonly desk = inject(SetDesk);
  protected readonly pairKinds = PAIR_KINDS;
  protected readonly pairWords = (kind: PairKind): string => PAIR_WORDS[kind];

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
  protected toggle(kind: 'opener' | 'closer' | 'must', id: string): void {
    const point: FixedPoint = { kind, id };
    if (this.isPoint()(kind, id)) this.desk.free(point);
    else this.desk.fix(point);
  }

  protected pair(kind: PairKind, other: string): void {
    this.desk.fix({ kind, pair: [this.desk.chosen(), other] });
  }
}
