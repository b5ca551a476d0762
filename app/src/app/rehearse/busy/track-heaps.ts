import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import {
  BusyHeap,
  endsOnTop,
  fewestKnown,
  heapsAfter,
  MOST_MOVES,
} from '@enumeron/core/file/rehearse/busyRow';
import { canMove, heapsNow, movesThatGo, sayDepths } from '@enumeron/core/file/rehearse/tracking';
import { BUSY_PLACE, heapsTold, MOST_TRACKED, moveCode, movesIn } from '../../nouns/pack/busy-told';
import { PatternsStore } from '../../nouns/pack/patterns.store';
import { once } from '../../platform/once';
import { CountPipe } from '../../ui/count-pipe';
import { HeapPiles } from '../../ui/heap-piles';
import { KeepRow } from './keep-row';

/** So many more moves than the plainest row has let a row wander. */
const TO_WANDER = 6;

/** Moves that one makes up are tapped as they are made: where the wanted cards lie by then, and how deep. */
@Component({
  selector: 'en-track-heaps',
  imports: [CountPipe, HeapPiles, MatButton, RouterLink],
  providers: [KeepRow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './track-heaps.html',
  styleUrls: ['../../ui/page.scss', './moves.scss'],
})
export class TrackHeaps {
  private readonly told = inject(PatternsStore);
  private readonly keepRow = inject(KeepRow);
  private readonly values = this.told.values(computed(() => BUSY_PLACE));
  /** How they lie before the first move. */
  readonly heaps = input.required<readonly BusyHeap[]>();

  protected readonly moves = computed(() => movesThatGo(this.heaps(), movesIn(this.values()['tracked'])));
  protected readonly now = computed(() => heapsNow(this.heaps(), this.moves()));
  protected readonly lying = computed(() => heapsAfter(this.heaps(), this.moves()));
  protected readonly says = computed(() => sayDepths(this.now()));
  protected readonly allUp = computed(() => endsOnTop(this.heaps(), this.moves()));
  /** How many moves bring them up from here by the plainest row that is known; undefined where none does. */
  protected readonly plain = computed(() => fewestKnown(this.now()));
  protected readonly full = computed(() => this.moves().length >= MOST_TRACKED);

  /** The heap from which a card is being taken. */
  protected readonly from = signal<number | undefined>(undefined);
  protected readonly problem = signal('');

  protected choose(heap: number): void {
    const from = this.from();
    this.problem.set('');
    if (from === heap) this.from.set(undefined);
    else if (from !== undefined) this.move(from, heap);
    else if (this.full())
      this.problem.set(`${MOST_TRACKED.toString()} moves are tracked at most. Start again from here.`);
    else if ((this.now().at(heap - 1)?.cards ?? 0) === 0)
      this.problem.set(`Heap ${heap.toString()} is empty.`);
    else this.from.set(heap);
  }

  private move(from: number, to: number): void {
    this.from.set(undefined);
    if (!canMove(this.now(), { from, to })) return;
    const heaps = this.heaps();
    void this.told.alter(BUSY_PLACE, 'tracked', (value) => [
      ...movesThatGo(heaps, movesIn(value)).map(moveCode),
      moveCode({ from, to }),
    ]);
  }

  protected takeBack(): void {
    this.problem.set('');
    if (this.from() !== undefined) this.from.set(undefined);
    else void this.told.alter(BUSY_PLACE, 'tracked', (value) => movesIn(value).slice(0, -1).map(moveCode));
  }

  protected key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    if (event.key === 'Backspace') this.takeBack();
    else if (event.key === 'Escape' && this.from() !== undefined) this.from.set(undefined);
    else if (/^[1-9]$/.test(event.key)) {
      if (Number(event.key) <= this.heaps().length) this.choose(Number(event.key));
    } else return;
    event.preventDefault();
  }

  protected anew(): void {
    this.from.set(undefined);
    void this.told.set(BUSY_PLACE, 'tracked', undefined);
  }

  /** The heaps as they lie now are those from which a row is drawn, or tracked further. */
  protected goOnFromHere(drawn: boolean): void {
    this.from.set(undefined);
    this.problem.set('');
    const plain = this.plain() ?? 0;
    void this.told.fill(BUSY_PLACE, {
      ...heapsTold(this.now()),
      tracked: [],
      ...(drawn && { way: 0, moves: Math.min(MOST_MOVES, plain + TO_WANDER) }),
    });
  }

  protected readonly keep = once('keep a busy row', () => this.keepRow.keep(this.heaps(), this.moves()));
}
