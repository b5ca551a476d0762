import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { Card, deduce, Deduction, describeFact, Fact, reckonFacts } from '@enumeron/core';
import { Observable, of, switchMap } from 'rxjs';
import { FieldValue } from '../data/rows';
import { FactsStore, MOST_FACTS } from '../pack/facts.store';
import { markOnRail } from '../pack/marks';
import { PackStore } from '../pack/pack.store';
import { CardPad } from '../shared/card-pad';
import { CardText } from '../shared/card-text';
import { Notices } from '../shared/notices';
import { Viewport } from '../shared/viewport';
import { DEDUCE_LONG } from '../workers/deduce';
import { DoPanel } from './do-panel';
import { FACT_FORMS } from './fact-forms';
import { FieldPad } from './field-pad';
import { KnownList } from './known-list';
import { PatternField } from './pattern-field';
import { completeValues, Field, lackingField, valueOf } from './patterns';
import { Values, withValue } from '../pack/patterns.store';

/** How many steps of an enumeration may be done at once, before a worker goes on: a few milliseconds. */
const AT_ONCE = 20_000;

/** What was told, and what follows from it. */
interface Told {
  readonly now: readonly Card[];
  readonly facts: readonly Fact[];
  readonly deduction: Deduction | undefined;
}

/** Whatever was seen, in any combination: every state of the pack that fits is run through. */
@Component({
  selector: 'en-facts-view',
  imports: [CardPad, CardText, DoPanel, FieldPad, KnownList, MatButton, MatIcon, MatIconButton, PatternField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './facts-view.html',
  styleUrl: './facts-view.scss',
})
export class FactsView {
  protected readonly store = inject(FactsStore);
  protected readonly pack = inject(PackStore);
  private readonly deduceLong = inject(DEDUCE_LONG);
  private readonly notices = inject(Notices);
  protected readonly phone = inject(Viewport).phone;

  protected readonly forms = FACT_FORMS;
  protected readonly form = signal(FACT_FORMS[1]);
  protected readonly values = linkedSignal<unknown, Values>({ source: this.form, computation: () => ({}) });
  protected readonly lacking = computed(() => lackingField(this.form(), this.values()));
  protected readonly active = linkedSignal<Field | undefined>(
    () => this.lacking() ?? this.form().fields.at(0),
  );
  protected readonly valueOf = valueOf;
  protected readonly describeFact = describeFact;

  private readonly asked = computed(() => ({ now: this.pack.now(), facts: this.store.facts() }));
  private readonly told = toSignal<Told | undefined>(
    toObservable(this.asked).pipe(switchMap((asked) => this.deduced(asked.now, asked.facts))),
  );
  protected readonly busy = computed(() => this.told()?.facts !== this.store.facts());
  protected readonly deduction = computed(() => (this.busy() ? undefined : this.told()?.deduction));
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

  constructor() {
    markOnRail(() => this.reckoning()?.marks ?? []);
  }

  private deduced(now: readonly Card[], facts: readonly Fact[]): Observable<Told> {
    const at = (deduction: Deduction | undefined): Told => ({ now, facts, deduction });
    const deduction = deduce(now, facts, AT_ONCE);
    return deduction
      ? of(at(deduction))
      : this.deduceLong(now, facts).pipe(switchMap((found) => of(at(found))));
  }

  protected choose(kind: string): void {
    this.form.set(FACT_FORMS.find((form) => form.kind === kind) ?? FACT_FORMS[0]);
  }

  protected set(field: Field, value: FieldValue | undefined): void {
    this.values.set(withValue(this.values(), field.name, value));
  }

  /** What a pad gives goes to the field that is lit; a row of cards grows by it. */
  protected take(value: number | undefined): void {
    const field = this.active();
    if (!field) return;
    const before = this.values()[field.name];
    const row = field.kind === 'cards' && value !== undefined;
    this.set(field, row ? [...((before as readonly number[] | undefined) ?? []), value] : value);
    if (field.kind === 'number' || row) this.active.set(field);
  }

  /** Lights the field after the one that is lit. */
  protected next(): void {
    const { fields } = this.form();
    this.active.set(
      fields[(fields.findIndex(({ name }) => name === this.active()?.name) + 1) % fields.length],
    );
  }

  protected async add(): Promise<void> {
    // Not a disabled button: Enter may come before a render, and what is told by then counts.
    const lacking = this.lacking();
    if (lacking) return void this.notices.show(`Tell ${lacking.label.toLowerCase()} first.`);
    const added = await this.store.add(this.form().make(completeValues(this.form(), this.values())));
    if (added) this.values.set({});
    else
      void this.notices.show(
        `At most ${MOST_FACTS.toString()} facts are told of one pack. Take one back first.`,
      );
  }

  /** Enters a card of the only field and adds the fact at once: one press a fact. */
  protected press(card: Card): void {
    this.take(card);
    const { fields } = this.form();
    if (fields.length === 1 && fields[0].kind === 'card') void this.add();
  }

  protected async apply(): Promise<void> {
    const settled = this.settled();
    if (settled) await this.pack.become(settled, 'take what was seen as the pack');
  }
}
