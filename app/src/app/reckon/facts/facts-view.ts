import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  linkedSignal,
  signal,
  viewChild,
} from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { completeValues, Values } from '@enumeron/core/form';
import { Card, sayProblem, showCard, suitOf } from '@enumeron/core/deck';
import {
  describeFact,
  describeState,
  Fact,
  findPossible,
  parseFact,
  Possible,
  reckonFacts,
  State,
} from '@enumeron/core/reckon/facts';
import { map, Observable, of, switchMap } from 'rxjs';
import { MOST_FACTS } from '../../nouns/pack/facts.kind';
import { Icons } from '../../ui/icons';
import { FactsStore } from '../../nouns/pack/facts.store';
import { markOnRail } from '../../nouns/pack/marks';
import { PackStore } from '../../nouns/pack/pack.store';
import { guessOnRail } from '../../nouns/pack/rail-guess';
import { withValue } from '../../nouns/pack/patterns.store';
import { CardText } from '../../ui/card-text';
import { EntryField } from '../../ui/form/entry-field';
import { Notices } from '../../platform/notices';
import { cardCompleter, cardReader } from '../../ui/form/reading';
import { Scripts } from '../../platform/scripts';
import { RUN_JOB } from '../../platform/workers/jobs';
import { DoPanel } from '../answer/do-panel';
import { FACT_FORMS } from '@enumeron/core/reckon/facts';
import { describeGuesses, guessesOf } from './guesses';
import { KnownList } from '../answer/known-list';
import { TellFields } from '../../ui/form/tell-fields';
import { Telling } from '../../ui/form/telling';

/** How many steps of an enumeration may be done at once, before a worker goes on: a few milliseconds. */
const AT_ONCE = 20_000;

/** What was told, and what follows from it. */
interface Told {
  readonly now: readonly Card[];
  readonly facts: readonly Fact[];
  readonly possible: Possible | undefined;
  /** Set when the worker could not work it out. */
  readonly failed?: true;
}

/** Whatever was seen, in any combination: every state of the pack that fits is run through. */
@Component({
  selector: 'en-facts-view',
  imports: [CardText, DoPanel, EntryField, KnownList, MatButton, MatIcon, MatIconButton, TellFields],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './facts-view.html',
  styleUrl: './facts-view.scss',
})
export class FactsView {
  protected readonly store = inject(FactsStore);
  protected readonly pack = inject(PackStore);
  private readonly runJob = inject(RUN_JOB);
  private readonly notices = inject(Notices);
  private readonly scripts = inject(Scripts);

  protected readonly forms = FACT_FORMS;
  protected readonly form = signal(FACT_FORMS[1]);
  protected readonly values = linkedSignal<unknown, Values>({ source: this.form, computation: () => ({}) });
  protected readonly telling = new Telling(this.form, this.values, ({ name }, value) => {
    this.values.set(withValue(this.values(), name, value));
  });
  protected readonly describeFact = describeFact;
  private readonly fields = viewChild.required(TellFields);

  private readonly asked = computed(() => ({ now: this.pack.now(), facts: this.store.facts() }));
  private readonly told = toSignal<Told | undefined>(
    toObservable(this.asked).pipe(switchMap((asked) => this.deduced(asked.now, asked.facts))),
  );
  protected readonly busy = computed(() => this.told()?.facts !== this.store.facts());
  private readonly possible = computed(() => (this.busy() ? undefined : this.told()?.possible));
  protected readonly deduction = computed(() => this.possible()?.deduction);
  /** What stands where the answer will be. */
  protected readonly waiting = computed(() =>
    !this.busy() && this.told()?.failed
      ? 'Part of Enumeron didn’t load. Reload the page.'
      : 'Trying every way it can lie …',
  );
  protected readonly reckoning = computed(() => {
    const deduction = this.deduction();
    return deduction && this.store.facts().length > 0
      ? reckonFacts(this.pack.now(), this.store.facts(), deduction)
      : undefined;
  });
  /** The pack, where only one arrangement fits and it is another than the one on the rail. */
  protected readonly settled = computed(() => {
    const certain = this.deduction()?.certain ?? [];
    const now = certain.flatMap((card) => card ?? []);
    const known = now.length > 0 && now.length === certain.length;
    return known && now.join() !== this.pack.now().join() ? now : undefined;
  });

  /** What can be done about what follows: take the pack as it must lie, or mend what was told. */
  protected readonly action = computed(() => {
    if (this.settled()) return 'Apply to the pack';
    return this.deduction()?.unlessCut ? 'It was cut first' : undefined;
  });

  /** Facts to try it with: a cut, and a glimpse that settles it. */
  private readonly exampleFacts = computed<readonly Fact[]>(() => {
    const now = this.pack.now();
    return [{ kind: 'cut' }, { kind: 'seen', at: 'face', card: now[Math.floor(now.length / 3)] }];
  });
  protected readonly example = computed(() =>
    this.store.facts().length > 0 ? undefined : this.exampleFacts().map(describeFact).join(', '),
  );

  /** The card that is looked for on the rail. */
  protected readonly about = signal<Card | undefined>(undefined);
  protected readonly suit = computed(() => {
    const about = this.about();
    return about === undefined ? undefined : suitOf(about);
  });
  protected readonly readCard = computed(() => cardReader(this.pack.now()));
  protected readonly completeCard = computed(() => cardCompleter(this.pack.now()));
  protected readonly showCard = showCard;
  /** What may lie where, once something was told. */
  protected readonly guesses = computed(() => {
    const possible = this.possible();
    return possible && this.store.facts().length > 0 && possible.guesses.length > 0
      ? guessesOf(possible, this.about())
      : undefined;
  });
  protected readonly shownOnRail = computed(() => {
    const guesses = this.guesses();
    return guesses && describeGuesses(guesses);
  });
  /** The states one by one, where they are few and not just one. */
  protected readonly listed = computed(() => {
    const possible = this.possible();
    return possible && this.store.facts().length > 0 && possible.listed.length > 1
      ? possible.listed.map((state) => ({ state, says: describeState(possible.deduction, state) }))
      : [];
  });

  constructor() {
    inject(Icons);
    markOnRail(() => this.reckoning()?.marks ?? []);
    guessOnRail(() => this.guesses());
  }

  private deduced(now: readonly Card[], facts: readonly Fact[]): Observable<Told> {
    const at = (possible: Possible | undefined): Told => ({ now, facts, possible });
    const possible = findPossible(now, facts, AT_ONCE);
    return possible
      ? of(at(possible))
      : this.runJob('possible', { now, facts }).pipe(
          map((state) => at(state.kind === 'ended' ? state.result : undefined)),
          this.scripts.orElse({ ...at(undefined), failed: true }),
        );
  }

  protected choose(kind: string): void {
    this.form.set(FACT_FORMS.find((form) => form.kind === kind) ?? FACT_FORMS[0]);
  }

  protected async add(): Promise<void> {
    // Not a disabled button: Enter may come before a render, and what is told by then counts.
    const lacking = this.telling.lacking();
    if (lacking) {
      if (!this.fields().goOn()) void this.notices.show(lacking.asks);
      return;
    }
    const [form, told] = [this.form(), this.values()];
    const outcome = parseFact(form.make(completeValues(form, told)));
    if (!outcome.ok) {
      void this.notices.show(sayProblem(outcome.problems[0]));
      return;
    }
    // Emptied at once: what is typed while this one is stored is another fact.
    this.values.set({});
    if (await this.store.add(outcome.fact)) return;
    if (this.form() === form) this.values.set(told);
    this.tooMany();
  }

  private tooMany(): void {
    void this.notices.show(
      `At most ${MOST_FACTS.toString()} facts can be told of one pack. Take one back first.`,
    );
  }

  /** A card of the only field is the whole fact: one press adds it. */
  protected pressed(): void {
    if (this.form().fields.length === 1) void this.add();
  }

  protected async tryExample(): Promise<void> {
    for (const fact of this.exampleFacts()) await this.store.add(fact);
  }

  protected async take({ pack }: State): Promise<void> {
    await this.pack.become(pack, 'take one way it can lie as the pack');
  }

  protected async act(): Promise<void> {
    const settled = this.settled();
    if (settled) await this.pack.become(settled, 'take what was seen as the pack');
    else if (this.deduction()?.unlessCut && !(await this.store.cutFirst())) this.tooMany();
  }
}
