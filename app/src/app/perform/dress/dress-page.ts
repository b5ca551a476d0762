import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DOCUMENT,
  effect,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { Router, RouterLink } from '@angular/router';
import { showCard } from '@enumeron/core/deck';
import { countOf } from '@enumeron/core/file/deck/countOf';
import { fromEvent } from 'rxjs';
import { hideRail } from '../../nouns/pack/rail-hidden';
import { SentStore } from '../../nouns/procedures/sent.store';
import { RoutinesStore } from '../../nouns/sets/routines.store';
import { once } from '../../platform/once';
import { CardText } from '../../ui/card-text';
import { Choice } from '../../ui/choice';
import { titled } from '../../ui/titled';
import { Facts } from '../facts';
import { CuePad } from '../live/cue-pad';
import { makePlan } from '../live/make-plan';
import { SetDesk } from '../sets/set-desk';
import { sayTime } from '../sets/junction-words';
import { Answered, Dress, SLIP_RATES, SlipRate } from './dress';

/** How long one sees a card, and how long something said aloud stays, in milliseconds. */
const SEEN = 2200;

const ENDS = {
  ...{ held: 'hit', outs: 'ends in an out', failed: 'misses', none: 'plain notes' },
} as const;
const RATE_WORDS: Readonly<Record<SlipRate, string>> = { 0: 'none', 15: 'a few', 40: 'many' };

/** A set run against helpers that the program plays: what one sees for as long as one sees it, and answers by the clock. */
@Component({
  selector: 'en-dress-page',
  imports: [CardText, Choice, CuePad, MatButton, RouterLink],
  providers: [Dress, SetDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './dress-page.html',
  styleUrls: ['../../ui/page.scss', './dress-page.scss'],
})
export class DressPage {
  protected readonly desk = inject(SetDesk);
  protected readonly dress = inject(Dress);
  private readonly facts = inject(Facts);
  private readonly routines = inject(RoutinesStore);
  private readonly sent = inject(SentStore);
  private readonly router = inject(Router);
  private readonly pads = viewChild(CuePad);

  readonly id = input.required<string>();
  protected readonly rates = SLIP_RATES;
  protected readonly rate = signal<SlipRate>(0);
  protected readonly sayRate = (rate: SlipRate): string => RATE_WORDS[rate];
  protected readonly isReady = computed(() => this.routines.all() !== undefined && !this.desk.isWaiting());

  /** Whether what was seen is gone again. */
  protected readonly isGone = linkedSignal({ source: this.dress.beat, computation: () => false });
  protected readonly asked = computed(() => {
    const beat = this.dress.beat();
    return beat?.kind === 'asked' ? beat : undefined;
  });
  protected readonly pad = computed(() => {
    const asked = this.asked();
    if (!asked) return undefined;
    return asked.asks === 'card'
      ? ({ kind: 'card' } as const)
      : ({ kind: 'number', from: 0, to: asked.truth > MOST ? 999 : MOST } as const);
  });
  protected readonly ends = ENDS;
  protected readonly summary = computed(() => {
    const all = this.dress.answered();
    const right = all.filter(({ isRight }) => isRight).length;
    return all.length === 0
      ? `Done in ${sayTime(this.dress.took())}; nothing was asked.`
      : `${right.toString()} of ${countOf(all.length, 'answer')} right, in ${sayTime(this.dress.took())}.`;
  });
  /** The answers of a routine. */
  protected readonly byRoutine = computed(() =>
    this.dress.scenes().map((scene, index) => {
      const answers = this.dress.answered().filter(({ routine }) => routine === scene.routine);
      const procedure = this.routines.find(scene.routine.id)?.procedure;
      return {
        ...{ index, scene, answers, procedure, end: ENDS[scene.end] },
        choices: scene.choices.map(([name, value]) => `${name} ${value.toString()}`).join(', '),
        isWeak: answers.some((each) => !each.isRight || each.seconds > SLOW),
      };
    }),
  );

  constructor() {
    hideRail('The rail is hidden: it would tell what you must know.');
    titled('Perform', () => {
      const name = this.desk.set()?.name;
      return name && `Dress rehearsal · ${name}`;
    });
    effect(() => {
      const id = this.id();
      untracked(() => this.desk.id.set(id));
    });
    effect((onCleanup) => {
      if (this.dress.beat()?.kind !== 'seen') return;
      const timer = setTimeout(() => this.isGone.set(true), SEEN);
      onCleanup(() => clearTimeout(timer));
    });
    fromEvent<KeyboardEvent>(inject(DOCUMENT), 'keydown')
      .pipe(takeUntilDestroyed())
      .subscribe((event) => this.key(event));
  }

  protected begin(): void {
    const [row, all] = [this.desk.row(), this.routines.all()];
    if (!row || !all) return;
    const { name, order } = row.set;
    this.dress.begin(makePlan({ name, order, audience: '' }, all, this.facts), this.rate());
  }

  protected answer(value: number): void {
    this.dress.answer(value, this.asked()?.asks === 'card' ? showCard(value) : value.toString());
  }

  /** Practises what a routine asks, in Learn: its procedure is sent there, where it was not before. */
  protected readonly practise = once('practise a routine', async (procedure: string, name: string) => {
    this.sent.send(procedure, name);
    const path = this.sent.of(procedure)?.path;
    await (path === undefined
      ? this.router.navigate(['/learn', 'sums'])
      : this.router.navigate(['/learn', 'sums', 'practise'], { queryParams: { way: path } }));
  });

  protected verdict({ isRight, seconds }: Answered): string {
    return `${isRight ? 'right' : 'wrong'}, ${seconds.toFixed(1)} s`;
  }

  private key(event: KeyboardEvent): void {
    const { key, target } = event;
    const isElsewhere = target instanceof Element && target.closest('button, a, input, textarea') !== null;
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented || !this.dress.beat())
      return;
    if (isElsewhere && (key === 'Enter' || key === ' ' || !target.closest('button'))) return;
    const pads = this.pads();
    const goesOn = key === 'Enter' || key === ' ' || key === 'PageDown' || key === 'ArrowRight';
    if (pads ? (goesOn ? pads.done() : key === 'Backspace' ? pads.deleteDigit() : pads.key(key)) : goesOn) {
      if (!pads) this.dress.next();
      event.preventDefault();
      event.stopImmediatePropagation();
    }
  }
}

/** Numbers go up to the cards of two packs, mostly. */
const MOST = 108;
/** An answer that takes longer than so many seconds is slow on stage. */
const SLOW = 5;
