import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DOCUMENT,
  inject,
  linkedSignal,
  signal,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import type { HowEnded, Tap } from '@enumeron/core/file/perform/cue/plan';
import { TO_END } from '@enumeron/core/file/perform/cue/perform';
import { fromEvent, interval, map } from 'rxjs';
import { Clock } from '../../platform/clock';
import { once } from '../../platform/once';
import { StayOn } from '../../platform/stay-on';
import { takeWholeScreen } from '../../platform/whole-screen';
import { Journal } from '../../storage/journal';
import { CardText } from '../../ui/card-text';
import { titled } from '../../ui/titled';
import { StateRail } from '../state-rail';
import { cueOf, CuePad as Pad, railPack } from './cue';
import { CuePad } from './cue-pad';
import { JumpList } from './jump-list';
import { Stage } from './stage';

/** What a clicker and a keyboard send to go on, and to go back. */
const ON: ReadonlySet<string> = new Set(['PageDown', 'ArrowRight', 'ArrowDown', ' ', 'Enter']);
const BACK: ReadonlySet<string> = new Set(['PageUp', 'ArrowLeft', 'ArrowUp', 'Backspace']);

/** How far a finger goes sideways for a swipe, and at most up or down, in pixels. */
const [SWIPE, ASLANT] = [70, 60];

const END_WORDS: Readonly<Record<HowEnded, string>> = {
  ...{ hit: 'it hit', out: 'out', missed: 'missed', stopped: 'stopped' },
};

/** A set step by step, under one thumb in the wings. */
@Component({
  selector: 'en-live-page',
  imports: [CardText, CuePad, JumpList, RouterLink, StateRail],
  providers: [Stage, StayOn],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './live-page.html',
  styleUrl: './live-page.scss',
})
export class LivePage {
  protected readonly stage = inject(Stage);
  protected readonly maySleep = inject(StayOn).maySleep;
  /** Whether what is tapped cannot be kept: it would be lost with the page. */
  protected readonly isUnkept = computed(() => this.held() > 0);
  private readonly held = inject(Journal).held;
  private readonly clock = inject(Clock);
  private readonly router = inject(Router);
  private readonly pads = viewChild(CuePad);

  protected readonly cue = computed(() => {
    const live = this.stage.live();
    return live && cueOf(live);
  });
  protected readonly rail = computed(() => {
    const live = this.stage.live();
    return live && railPack(live);
  });
  /** Whether something else was seen than is shown: the pad stands there then. */
  protected readonly isOther = linkedSignal({ source: this.cue, computation: () => false });
  protected readonly isJumping = linkedSignal({ source: this.cue, computation: () => false });
  protected readonly pad = computed((): Pad | undefined => {
    const cue = this.cue();
    return cue?.shows && !this.isOther() ? undefined : cue?.pad;
  });
  protected readonly keys = computed(() => {
    const pad = this.pad();
    return pad === undefined || pad.kind === 'choices' ? undefined : pad;
  });
  protected readonly choices = computed(() => {
    const pad = this.pad();
    return pad?.kind === 'choices' ? pad.choices : [];
  });
  /** The cards that may be seen: those of the pack, and those that the procedure names. */
  protected readonly cards = computed(() => {
    const phase = this.stage.live()?.phase;
    const named = phase?.kind === 'run' ? [...(phase.run.starts.at(0)?.followed.named ?? [])] : [];
    return [...(this.rail()?.home.cards ?? []), ...named];
  });
  /** How much there is to read: what does not fit is set smaller. */
  protected readonly length = computed(() => {
    const cue = this.cue();
    if (!cue) return 0;
    return [cue.does, ...cue.says, ...cue.acts, ...cue.notes, ...cue.sums, cue.warns].join(' ').length;
  });
  protected readonly endWords = END_WORDS;

  private readonly now = toSignal(interval(1000).pipe(map(() => this.clock.now())), {
    initialValue: this.clock.now(),
  });
  /** The minutes gone, and those planned up to the end of this routine. */
  protected readonly time = computed(() => {
    const [row, live] = [this.stage.row(), this.stage.live()];
    if (!row || !live) return '';
    const seconds = Math.max(0, Math.floor((this.now() - row.at) / 1000));
    const { plan, current } = live;
    const planned = plan.order
      .slice(0, current + 1)
      .reduce((sum, id) => sum + (plan.routines.find((each) => each.id === id)?.minutes ?? 0), 0);
    const gone = `${Math.floor(seconds / 60).toString()}:${(seconds % 60).toString().padStart(2, '0')}`;
    return planned > 0 ? `${gone} of ${planned.toString()} min` : gone;
  });
  /** What is said to a screen reader when the page changes. */
  protected readonly spoken = computed(() => {
    const cue = this.cue();
    return cue === undefined ? '' : cue.does.split(' ').slice(0, 18).join(' ');
  });
  private readonly from = signal<{ readonly x: number; readonly y: number } | undefined>(undefined);

  constructor() {
    takeWholeScreen();
    titled('Perform', () => 'Live cue');
    fromEvent<KeyboardEvent>(inject(DOCUMENT), 'keydown')
      .pipe(takeUntilDestroyed())
      .subscribe((event) => this.key(event));
  }

  protected tap(tap: Tap): void {
    this.stage.tap(tap);
  }

  protected next(): void {
    if (this.cue()?.next === undefined) return;
    if (this.stage.live()?.phase.kind === 'over') void this.finish();
    else this.tap({ do: 'next' });
  }

  protected back(): void {
    if (this.isJumping()) this.isJumping.set(false);
    else if (this.isOther()) this.isOther.set(false);
    else this.stage.takeBack();
  }

  protected jump(to: string): void {
    this.isJumping.set(false);
    this.tap({ do: 'jump', to });
  }

  /** Leaves the routine half-way, and goes on with the one behind it. */
  protected stop(): void {
    this.isJumping.set(false);
    this.tap({ do: 'end', how: 'stopped' });
  }

  protected endAll(): void {
    this.jump(TO_END);
  }

  /** Ends the performance: it is kept. */
  private readonly finish = once('end the performance', async () => {
    const { id, set, real } = this.stage.row() ?? {};
    await this.stage.finish();
    // What nobody tapped is told while it is fresh; a run-through has nothing to tell.
    const to = real && id !== undefined ? ['/record', id, 'write'] : ['/perform', set ?? 'tonight'];
    await this.router.navigate(to, { replaceUrl: true });
  });

  private key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented || !this.cue()) return;
    if (this.isMeant(event)) event.preventDefault();
  }

  private isMeant({ key, target, repeat }: KeyboardEvent): boolean {
    // A button that has the focus is pressed by its own keys.
    const isOnButton = target instanceof Element && target.closest('button, a') !== null;
    if (isOnButton && (key === 'Enter' || key === ' ')) return false;
    if (repeat) return ON.has(key) || BACK.has(key);
    const pads = this.pads();
    if (ON.has(key)) {
      if (!pads?.done()) this.next();
      return true;
    }
    if (BACK.has(key)) {
      if (!pads?.deleteDigit()) this.back();
      return true;
    }
    if (key === 'Escape') {
      this.isJumping.update((is) => !is);
      return true;
    }
    if (pads?.key(key)) return true;
    const choice = this.choices().at(Number(key) - 1);
    if (/^[1-9]$/.test(key) && choice) {
      this.tap(choice.tap);
      return true;
    }
    const how = this.cue()?.ends.find((each) => each.startsWith(key.toLowerCase()));
    if (how === undefined || this.keys()?.kind === 'card') return false;
    this.tap({ do: 'end', how });
    return true;
  }

  protected touched({ touches }: TouchEvent): void {
    this.from.set(touches.length === 1 ? { x: touches[0].clientX, y: touches[0].clientY } : undefined);
  }

  /** A swipe to the right goes back. */
  protected lifted({ changedTouches: [touch] }: TouchEvent): void {
    const from = this.from();
    this.from.set(undefined);
    if (from && touch.clientX - from.x > SWIPE && Math.abs(touch.clientY - from.y) < ASLANT) this.back();
  }
}
