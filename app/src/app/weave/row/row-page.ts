import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { offsetOf } from '@enumeron/core/deck';
import { markOnRail, Mark } from '../../nouns/pack/marks';
import { PackStore } from '../../nouns/pack/pack.store';
import { previewOnRail } from '../../nouns/pack/rail-preview';
import { afterPaint } from '../../platform/after-paint';
import { once } from '../../platform/once';
import { SaveOrder } from '../../nouns/orders/save-order';
import { Plan } from '../plan/plan';
import { WeavingStore } from '../../nouns/weaves/weaving.store';
import { KeptList } from './kept-list';
import { OtherMoves } from './other-moves';
import { PathChart } from './path-chart';
import { weaveRail } from './rail-motion';
import { RowEditor } from './row-editor';
import { WeaveDrawing } from './weave-drawing';

/** Cards to places, and the row of weaves: typed, drawn, stepped through on a copy of the pack, applied, kept. */
@Component({
  selector: 'en-row-page',
  imports: [KeptList, MatButton, OtherMoves, PathChart, Plan, RouterLink, RowEditor, SaveOrder, WeaveDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './row-page.html',
  styleUrls: ['../../ui/page.scss', './row-page.scss'],
})
export class RowPage {
  protected readonly store = inject(WeavingStore);
  private readonly pack = inject(PackStore);

  /** Whether one move is drawn large, and not the whole row. */
  protected readonly large = signal(false);
  /** The move that is drawn large, as its index: the one that led to what is shown, or the first. */
  protected readonly drawn = computed(() => Math.max(0, this.store.step() - 1));

  private readonly drawing = computed(() => ({
    ...{ row: this.store.row(), names: this.store.names() },
    ...{ orders: this.store.orders(), followed: this.store.followed() },
  }));
  /** What the chart draws: it follows a frame behind, so that a key is answered first. */
  protected readonly chart = signal(this.drawing());

  protected readonly origin = computed(() => ({
    ...{ kind: 'recipe' as const, base: this.pack.now(), moves: this.store.row() },
  }));
  protected readonly name = signal('');
  /** What the row makes of the order, in a sentence. */
  protected readonly makes = computed(() => {
    if (this.store.row().length === 0) return '';
    const after = this.store.orders().at(-1) ?? [];
    const offset = offsetOf(this.pack.home(), after);
    if (offset === 0) return `Then the pack is in its home order, ${this.pack.pack().name}.`;
    return offset === undefined
      ? 'Then the pack is out of its home order.'
      : `Then the pack is in its home order, cut at ${offset.toString()}.`;
  });

  protected readonly apply = once('apply a row', () => this.store.apply());

  /** Where followed cards lie after the moves that are shown, and where they are wanted. */
  private readonly marked = computed(() =>
    this.store
      .followed()
      .flatMap(({ path, to }): { readonly place: number; readonly mark: Mark }[] => [
        ...(path ? [{ place: path[this.store.step()], mark: 'wanted' as const }] : []),
        ...(path && to !== undefined && to <= this.store.size()
          ? [{ place: to, mark: 'number' as const }]
          : []),
      ]),
  );

  constructor() {
    markOnRail(this.marked);
    previewOnRail(() => {
      const [step, length] = [this.store.step(), this.store.row().length];
      if (step === 0) return undefined;
      const marks = new Map<number, Mark[]>();
      for (const { place, mark } of this.marked()) marks.set(place, [...(marks.get(place) ?? []), mark]);
      const label = `A copy of the pack, after ${step.toString()} of ${length.toString()} moves`;
      return { home: this.pack.home(), now: this.store.shown(), label, marks };
    });
    weaveRail(() => ({ row: this.store.row(), order: this.store.shown() }));
    effect(() => {
      const next = this.drawing();
      void afterPaint().then(() => {
        if (untracked(this.drawing) === next) this.chart.set(next);
      });
    });
  }
}
