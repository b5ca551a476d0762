import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  Injector,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { seededRng } from '@enumeron/core/deck';
import { BusyHeap, BusyMove, heapsAfter } from '@enumeron/core/file/rehearse/busyRow';
import { heapsNow, nextLength, sayDepths, strayMoves, TRACKED } from '@enumeron/core/file/rehearse/tracking';
import { BUSY_PLACE, busyWishIn, depthsCode, depthsIn } from '../../nouns/pack/busy-told';
import { PatternsStore } from '../../nouns/pack/patterns.store';
import { hideRail } from '../../nouns/pack/rail-hidden';
import { Clock } from '../../platform/clock';
import { Choice } from '../../ui/choice';
import { CountPipe } from '../../ui/count-pipe';
import { readDepths, showDepths } from '../../ui/form/depths';
import { EntryField } from '../../ui/form/entry-field';
import { HeapPiles } from '../../ui/heap-piles';
import { takeKeys } from '../drill/drill-keys';

/** Where it is kept how long the next row is. */
const PLACE = 'tracking heaps';
/** Seconds between two moves; 0: each comes by a key or a tap. */
const PACES = [0, 3, 2, 1] as const;

/** One row of moves to be tracked: how the heaps lie first, and what is done. */
interface Row {
  readonly heaps: readonly BusyHeap[];
  readonly moves: readonly BusyMove[];
}

type Phase = 'start' | 'moves' | 'ask' | 'told';

/** Moves are shown one by one; at the end one says where the wanted cards lie, and how deep. */
@Component({
  selector: 'en-track',
  imports: [Choice, CountPipe, EntryField, HeapPiles, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './track.html',
  styleUrls: ['../drill/drill.scss', './track.scss'],
})
export class Track {
  private readonly told = inject(PatternsStore);
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);
  private readonly injector = inject(Injector);
  private readonly host: HTMLElement = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;

  private readonly values = this.told.values(computed(() => PLACE));
  private readonly busy = this.told.values(computed(() => BUSY_PLACE));
  protected readonly paces: readonly number[] = PACES;
  protected readonly sayPace = (seconds: number): string =>
    seconds === 0 ? 'by hand' : `${seconds.toString()} s`;
  protected readonly pace = computed(() => {
    const pace = this.values()['pace'];
    return this.paces.find((each) => each === pace) ?? 0;
  });
  private readonly length = computed(() => {
    const length = this.values()['length'];
    return typeof length === 'number' && length >= TRACKED.least && length <= TRACKED.most
      ? length
      : TRACKED.first;
  });

  protected readonly phase = signal<Phase>('start');
  protected readonly row = signal<Row>({ heaps: [], moves: [] });
  /** How many moves have been shown. */
  protected readonly shown = signal(0);
  protected readonly move = computed(() => this.row().moves.at(this.shown() - 1));
  protected readonly first = computed(() => heapsAfter(this.row().heaps, []));
  protected readonly begins = computed(() => sayDepths(this.row().heaps));
  /** What is said of each heap, as it is kept. */
  protected readonly answers = signal<readonly number[]>([]);

  private readonly truth = computed(() => heapsNow(this.row().heaps, this.row().moves));
  protected readonly lying = computed(() => heapsAfter(this.row().heaps, this.row().moves));
  protected readonly says = computed(() => sayDepths(this.truth()));
  protected readonly isRight = computed(() => this.truth().every((_, heap) => this.isHeapRight(heap)));
  /** What was said, heap by heap. */
  protected readonly saidWords = computed(() =>
    sayDepths(this.answers().map((code) => ({ cards: 0, wanted: sorted(depthsIn(code)) }))),
  );
  protected readonly rows = signal<{ readonly right: number; readonly all: number }>({ right: 0, all: 0 });

  protected readonly showDepths = showDepths;
  protected readonly readDepths = readDepths;

  private rng = seededRng(Math.floor(this.clock.now()) % 2 ** 31);
  /** Each going through has a number: one that was left shows nothing more. */
  private turn = 0;

  constructor() {
    hideRail('The rail is hidden while you practise.');
    takeKeys((event) => this.key(event));
    this.draw();
  }

  /** The heaps of the busy row, or those it has at first where nothing is wanted there. */
  private draw(): void {
    const told = busyWishIn(this.busy()).heaps;
    const heaps = told.some(({ wanted }) => wanted.length > 0) ? told : busyWishIn({}).heaps;
    this.turn++;
    this.row.set({ heaps, moves: strayMoves(heaps, this.length(), this.rng) });
    this.shown.set(0);
    this.answers.set(heaps.map(() => 0));
    this.phase.set('start');
  }

  protected begin(): void {
    this.phase.set('moves');
    this.next();
    if (this.pace() > 0) void this.run();
  }

  /** Shows move by move at the pace that is chosen, until it is left. */
  private async run(): Promise<void> {
    const turn = this.turn;
    for (;;) {
      await this.clock.wait(this.pace() * 1000);
      if (this.turn !== turn || this.phase() !== 'moves') return;
      this.next();
    }
  }

  /** The next move; after the last it is asked where they lie. */
  protected next(): void {
    if (this.shown() < this.row().moves.length) this.shown.update((shown) => shown + 1);
    else {
      this.phase.set('ask');
      this.focus('input');
    }
  }

  protected say(heap: number, code: number | undefined): void {
    this.answers.update((all) => all.map((each, index) => (index === heap ? (code ?? 0) : each)));
  }

  protected check(): void {
    if (this.phase() !== 'ask') return;
    const unread = this.host.querySelector<HTMLElement>('[aria-invalid=true]');
    if (unread) {
      unread.focus();
      return;
    }
    this.phase.set('told');
    const right = this.isRight();
    this.rows.update((rows) => ({ right: rows.right + (right ? 1 : 0), all: rows.all + 1 }));
    void this.told.set(PLACE, 'length', nextLength(this.row().moves.length, right));
    this.focus('.on');
  }

  protected another(): void {
    this.draw();
    this.focus('.on');
  }

  protected setPace(pace: number): void {
    void this.told.set(PLACE, 'pace', pace);
  }

  protected isHeapRight(heap: number): boolean {
    return depthsCode(sorted(depthsIn(this.answers()[heap]))) === depthsCode(this.truth()[heap].wanted);
  }

  private focus(selector: string): void {
    afterNextRender(
      { read: () => this.host.querySelector<HTMLElement>(selector)?.focus() },
      { injector: this.injector },
    );
  }

  private key(event: KeyboardEvent): void {
    const { key } = event;
    if (key === 'Escape') this.leave();
    else if (this.phase() === 'ask') {
      if (key !== 'Enter') return;
      this.enter(event.target);
    } else if (key !== 'Enter' && key !== ' ' && key !== 'ArrowRight') return;
    else if (this.phase() === 'start') this.begin();
    else if (this.phase() === 'moves') this.next();
    else this.another();
    event.preventDefault();
  }

  /** Enter goes on to the next heap; from the last it is checked. */
  private enter(target: EventTarget | null): void {
    const fields = [...this.host.querySelectorAll('input')];
    const next = fields.at(fields.findIndex((field) => field === target) + 1);
    if (next && target !== fields.at(-1)) next.focus();
    else this.check();
  }

  protected leave(): void {
    this.turn++;
    void this.router.navigate(['/learn/busy']);
  }
}

const sorted = (depths: readonly number[]): readonly number[] => [...depths].sort((a, b) => a - b);
