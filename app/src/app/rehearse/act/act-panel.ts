import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { pathOf, stepAt } from '@enumeron/core/file/rehearse/editSteps';
import type { Asked } from '@enumeron/core/file/rehearse/actOut';
import { sayOff } from '@enumeron/core/file/rehearse/lead';
import { sayStep } from '@enumeron/core/file/rehearse/sentence';
import { hasChance } from '@enumeron/core/file/rehearse/prove';
import { previewOnRail } from '../../nouns/pack/rail-preview';
import { Mark } from '../../nouns/pack/marks';
import { Acting, View } from './acting.store';
import { railOf } from './rail-of';
import { sayHeld } from './say-held';
import { TablePackets } from './table-packets';
import { Stepper } from '../../ui/stepper';

const VIEWS: readonly (readonly [View, string])[] = [
  ['room', 'as the room sees it'],
  ['you', 'as you know it'],
  ['all', 'every face'],
];

const ENDS = {
  held: 'It works in this case.',
  outs: 'It ends in the out.',
  failed: '',
  'left out': 'This case is left out: they were asked to choose something else.',
} as const;

const WHYS = {
  claim: 'what must be so is not',
  'cannot be done': 'it cannot be done',
  'not known': 'you cannot know it',
} as const;

/** The table: one case step by step, forwards and back, each choice made by hand, at random, or as a case that was found. */
@Component({
  selector: 'en-act-panel',
  imports: [Stepper, MatButton, TablePackets],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './act-panel.html',
  styleUrls: ['../../ui/page.scss', './act-panel.scss'],
})
export class ActPanel {
  protected readonly acting = inject(Acting);
  protected readonly views = VIEWS;

  /** The step that was done last, in words. */
  protected readonly done = computed(() => {
    const [scene, procedure] = [this.acting.scene(), this.acting.procedure()];
    const step = scene && procedure && stepAt(procedure.steps, pathOf(scene.path));
    return step ? sayStep(step) : 'Before the first step.';
  });
  protected readonly names = computed(() => {
    const all = this.acting.view() === 'all';
    return (this.acting.scene()?.names ?? []).map((held) => ({
      name: held.name,
      text: held.known || all ? sayHeld(held) : '?',
      known: held.known,
    }));
  });
  protected readonly chance = computed(() => {
    const procedure = this.acting.procedure();
    return procedure !== undefined && hasChance(procedure);
  });
  protected readonly end = computed(() => {
    const [acted, atEnd] = [this.acting.acted(), this.acting.step() === this.acting.last()];
    if (!acted || !atEnd) return '';
    if (acted.tooLong) return 'It goes on beyond what is shown here.';
    if (acted.failure) return `It fails at step ${acted.failure.at}: ${WHYS[acted.failure.why]}.`;
    return acted.end ? ENDS[acted.end] : '';
  });

  /** A choice outside what is asked for, until another is made. */
  private readonly chosenOff = linkedSignal<unknown, (Asked & { readonly value: number }) | undefined>({
    source: this.acting.acted,
    computation: () => undefined,
  });
  /** What to say to that. */
  protected readonly off = computed(() => {
    const [off, procedure] = [this.chosenOff(), this.acting.procedure()];
    const step = off && procedure && stepAt(procedure.steps, pathOf(off.path));
    return off && step?.do === 'choose' ? sayOff(step, off.value, off) : undefined;
  });

  constructor() {
    previewOnRail(() => {
      const [acted, scene] = [this.acting.acted(), this.acting.scene()];
      const shown = acted && scene && this.acting.step() > 0 ? railOf(acted.scenes[0], scene) : undefined;
      if (!shown) return undefined;
      const marks = new Map<number, Mark[]>(shown.faceUp.map((place) => [place, ['face up']]));
      const step = this.acting.step().toString();
      const label = `${shown.name}, acted out to step ${step} of ${this.acting.last().toString()}`;
      return { home: shown.home, now: shown.now, label, marks };
    });
  }

  protected choose(text: string): void {
    const asked = this.acting.asked();
    const value = Number(text);
    if (!asked || text.trim() === '' || !Number.isInteger(value)) return;
    if (value >= asked.from && value <= asked.to) this.acting.choose(value);
    else this.chosenOff.set({ ...asked, value });
  }

  protected change(index: number, text: string): void {
    if (text.trim() !== '' && Number.isInteger(Number(text))) this.acting.change(index, Number(text));
  }

  protected key(event: KeyboardEvent): void {
    if (event.target !== event.currentTarget) return;
    const step = this.acting.step();
    const to = { ArrowLeft: step - 1, ArrowRight: step + 1, Home: 0, End: this.acting.last() }[event.key];
    if (to === undefined) return;
    this.acting.goTo(to);
    event.preventDefault();
  }
}
