import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { completeValues, Field, Values, valueOf } from '@enumeron/core/form';
import { QUESTIONS } from '@enumeron/core/odds';
import { sayProblem } from '@enumeron/core/deck';
import { PatternsStore } from '../../nouns/pack/patterns.store';
import { EntryField } from '../../ui/form/entry-field';
import { numberReader, Reading } from '../../ui/form/reading';
import { OddsAnswer } from './odds-answer';
import { titled } from '../../ui/titled';
import { TheyPipe } from '../../ui/they-pipe';

/** Questions of chance that performers argue about: each with its numbers, exact, and tried beside it. */
@Component({
  selector: 'en-odds-page',
  imports: [EntryField, OddsAnswer, RouterLink, TheyPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './odds-page.html',
  styleUrls: ['../../ui/page.scss', './odds-page.scss'],
})
export class OddsPage {
  /** The question's address, from the route; the first question where there is none. */
  readonly path = input<string>();

  private readonly told = inject(PatternsStore);

  protected readonly questions = QUESTIONS;
  protected readonly question = computed(
    () => QUESTIONS.find(({ path }) => path === this.path()) ?? QUESTIONS[0],
  );
  private readonly place = computed(() => `odds ${this.question().path}`);
  private readonly kept = this.told.values(this.place);
  /** All values; one that a field does not take any more is as at the start. */
  protected readonly values = computed<Values>(() => {
    const [{ fields }, kept] = [this.question(), this.kept()];
    const sound = fields.filter((field) => this.fits(field, kept[field.name]));
    return completeValues({ fields }, Object.fromEntries(sound.map(({ name }) => [name, kept[name]])));
  });
  protected readonly isChanged = computed(() =>
    this.question().fields.some((field) => this.values()[field.name] !== field.start),
  );
  protected readonly problem = computed(() => {
    const problem = this.question().problem?.(this.values());
    return problem && sayProblem(problem);
  });
  protected readonly fields = computed(() =>
    this.question().fields.map((field) => ({ field, read: this.reader(field) })),
  );
  protected readonly show = (value: number): string => value.toString();

  constructor() {
    titled('Rehearse', () => (this.path() === undefined ? 'Odds' : this.question().name));
  }

  protected numberIn(field: Field): number | undefined {
    const value = valueOf(field, this.values());
    return typeof value === 'number' ? value : undefined;
  }

  protected tell(name: string, value: number | undefined): void {
    // A field that is being emptied is about to be told something else.
    if (value !== undefined) void this.told.set(this.place(), name, value);
  }

  protected reset(): void {
    void this.told.clear(this.place());
  }

  private fits({ least = 1, most = Infinity }: Field, value: Values[string]): boolean {
    return typeof value === 'number' && value >= least && value <= most;
  }

  private reader({ least = 1, most = 999 }: Field): (text: string) => Reading {
    return numberReader(most, least);
  }
}
