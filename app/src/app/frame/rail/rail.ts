import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  signal,
  viewChild,
} from '@angular/core';
import { breaksIn, cutForSeam, seamOf } from '@enumeron/core/deck';
import { Marks, RailMarks } from '../../nouns/pack/marks';
import { PackStore } from '../../nouns/pack/pack.store';
import { RailHidden } from '../../nouns/pack/rail-hidden';
import { RailGuess } from '../../nouns/pack/rail-guess';
import { RailPreview } from '../../nouns/pack/rail-preview';
import { RovingGrid } from '../../ui/roving-grid';
import { Viewport } from '../../platform/viewport';
import { cellOf, cutByKey, gapAt } from './slot-places';
import { Slot, guessedSlots, slotsOf } from './slot';
import { RailStrip } from './rail-strip';
import { SlotMenu } from './slot-menu';
import { MissingPart } from '../../ui/missing-part';

const NO_MARKS: Marks = new Map();

/** The pack as it is now, one slot a card, with the seam that cuts it. */
@Component({
  selector: 'en-rail',
  imports: [MissingPart, RailStrip, RovingGrid, SlotMenu],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rail.html',
  styleUrl: './rail.scss',
})
export class Rail {
  protected readonly pack = inject(PackStore);
  private readonly injector = inject(Injector);
  private readonly marks = inject(RailMarks).marks;
  protected readonly preview = inject(RailPreview).preview;
  protected readonly guesses = inject(RailGuess).guesses;
  /** Why nothing is shown, in a drill. */
  protected readonly hidden = inject(RailHidden).why;
  private readonly viewport = inject(Viewport);
  protected readonly columns = this.viewport.railColumns;
  protected readonly folds = this.viewport.foldsRail;
  /** Whether all slots are shown where the strip alone is as a rule. */
  protected readonly opened = signal(false);
  protected readonly folded = computed(() => this.folds() && !this.opened());

  private readonly slotsBox = viewChild<ElementRef<HTMLElement>>('box');
  /** Its script comes a moment after the first screen. */
  private readonly menu = viewChild<SlotMenu>('menu');
  /** The slot that was pressed and whose menu is not open yet. */
  private readonly pressed = signal<Slot | undefined>(undefined);

  /** Where the seam is held while it is dragged: after so many cards. */
  protected readonly held = signal<number | undefined>(undefined);
  /** The index from 0 of the slot whose menu was opened last. */
  protected readonly asked = signal(0);

  /** The pack as shown: as it is, or as it would be if the seam were let go here. */
  private readonly shown = computed(() => {
    const held = this.held();
    const seam = this.pack.seam();
    return held === undefined || seam === undefined
      ? this.pack.now()
      : this.pack.preview({ kind: 'cut', count: cutForSeam(seam, held, this.pack.size()) });
  });
  protected readonly slots = computed(() => {
    const preview = this.preview();
    if (preview) return slotsOf(preview.home, preview.now, preview.marks ?? NO_MARKS, []);
    const guesses = this.guesses();
    if (guesses) return guessedSlots(this.pack.home(), guesses);
    return slotsOf(this.pack.home(), this.shown(), this.marks(), breaksIn(this.pack.home(), this.shown()));
  });
  protected readonly seam = computed(() =>
    (this.preview() ?? this.guesses()) ? undefined : seamOf(this.pack.home(), this.shown()),
  );

  constructor() {
    effect(() => {
      const [menu, slot] = [this.menu(), this.pressed()];
      if (!menu || !slot) return;
      // One that has just come does not open before it has been drawn.
      afterNextRender(
        () => {
          this.pressed.set(undefined);
          menu.open(slot);
        },
        { injector: this.injector },
      );
    });
  }

  protected press(slot: Slot): void {
    const pick = this.preview()?.pick;
    if (pick) pick(slot.place);
    else this.openMenu(slot);
  }

  private openMenu(slot: Slot): void {
    if (this.preview() ?? this.guesses()) return;
    this.asked.set(slot.place - 1);
    this.pressed.set(slot);
  }

  /** Back to the slot that the menu was about, wherever its card lies by now. */
  protected leaveMenu(): void {
    const box = this.slotsBox()?.nativeElement;
    box?.querySelectorAll<HTMLElement>('button[data-cell]').item(this.asked()).focus();
  }

  protected row(index: number): number {
    return cellOf(index, this.columns()).row;
  }

  protected column(index: number): number {
    return cellOf(index, this.columns()).column;
  }

  protected drag(event: PointerEvent): void {
    if (event.button !== 0) return;
    (event.target as Element).setPointerCapture(event.pointerId);
    this.held.set(this.pack.seam());
    event.preventDefault();
  }

  protected follow(event: PointerEvent): void {
    const box = this.slotsBox()?.nativeElement.getBoundingClientRect();
    if (this.held() === undefined || !box) return;
    this.held.set(gapAt({ x: event.clientX, y: event.clientY }, box, this.columns(), this.pack.size()));
  }

  protected drop(): void {
    const held = this.held();
    const seam = this.pack.seam();
    this.held.set(undefined);
    if (held !== undefined && seam !== undefined) this.cut(cutForSeam(seam, held, this.pack.size()));
  }

  /** One card more to the bottom with the right arrow, one back with the left; Home puts the pack in order. */
  protected rotate(event: KeyboardEvent): void {
    const count = cutByKey(event.key, this.pack.offset() ?? 0, this.pack.size());
    if (count === undefined) return;
    event.preventDefault();
    this.cut(count);
  }

  protected cut(count: number): void {
    if (count > 0) void this.pack.apply({ kind: 'cut', count });
  }
}
