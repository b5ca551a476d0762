import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Card, Estimate, sayProblem } from '@enumeron/core';
import { distinctUntilChanged, map, of, switchMap } from 'rxjs';
import { FieldValue } from '../data/rows';
import { OrdersStore } from '../data/orders.store';
import { SettingsStore } from '../data/settings.store';
import { markOnRail } from '../pack/marks';
import { PackStore } from '../pack/pack.store';
import { CardPad } from '../shared/card-pad';
import { HandSum } from '../shared/hand-sum';
import { Viewport } from '../shared/viewport';
import { TRY_KEY_CARD } from '../workers/key-card';
import { DoPanel } from './do-panel';
import { FieldPad } from './field-pad';
import { KnownList } from './known-list';
import { PATTERN_NAMES } from './pattern-names';
import { PatternField } from './pattern-field';
import { completeValues, Field, lackingField, PATTERNS, valueOf } from './patterns';
import { PatternsStore } from '../pack/patterns.store';

/** How many riffles a key card is tried over, on how many packs, from which seed. */
const [RIFFLES, PACKS, SEED] = [5, 40_000, 7];
const NO_ESTIMATES: readonly Estimate[] = [];

/** One pattern of Reckon in its one shape: what was seen, what is known, what to do. */
@Component({
  selector: 'en-pattern-view',
  imports: [
    CardPad,
    DoPanel,
    FieldPad,
    HandSum,
    KnownList,
    MatButton,
    NgTemplateOutlet,
    PatternField,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pattern-view.html',
  styleUrl: './pattern-view.scss',
})
export class PatternView {
  /** The pattern's address, from the route. */
  readonly path = input.required<string>();

  private readonly store = inject(PatternsStore);
  private readonly orders = inject(OrdersStore);
  protected readonly pack = inject(PackStore);
  private readonly settings = inject(SettingsStore);
  private readonly tryKeyCard = inject(TRY_KEY_CARD);
  protected readonly phone = inject(Viewport).phone;

  protected readonly pattern = computed(
    () => PATTERNS.find(({ path }) => path === this.path()) ?? PATTERNS[0],
  );
  protected readonly name = computed(() => PATTERN_NAMES[this.pattern().path]);
  protected readonly values = this.store.values(computed(() => this.pattern().path));

  private readonly bank = computed(() => {
    const origin = this.orders.find(this.pack.pack().orderId)?.origin;
    return origin?.kind === 'bank' ? origin.bank : undefined;
  });
  protected readonly lacksBank = computed(() => this.pattern().needsBank && !this.bank());

  /** What is tried about a key card, as text: it is tried anew only when that changes. */
  private readonly tried = computed(() => {
    const [bank, key] = [this.bank(), this.values()['key']];
    return this.pattern().path === 'key-card' && bank && typeof key === 'number'
      ? JSON.stringify([this.pack.now(), bank.cards, key])
      : '';
  });
  private readonly estimates = toSignal(
    toObservable(this.tried).pipe(
      distinctUntilChanged(),
      map((text) => (text === '' ? undefined : (JSON.parse(text) as [Card[], Card[], Card]))),
      switchMap((asked) => (asked ? this.tryKeyCard(...asked, RIFFLES, PACKS, SEED) : of(NO_ESTIMATES))),
    ),
    { initialValue: NO_ESTIMATES },
  );

  protected readonly lacking = computed(() => lackingField(this.pattern(), this.values()));
  private readonly outcome = computed(() =>
    this.lacking() || this.lacksBank()
      ? undefined
      : this.pattern().reckon(completeValues(this.pattern(), this.values()), {
          home: this.pack.home(),
          now: this.pack.now(),
          bank: this.bank(),
          shift: this.settings.tolerance().shift,
          estimates: this.estimates(),
        }),
  );
  protected readonly reckoning = computed(() => {
    const outcome = this.outcome();
    return outcome?.ok ? outcome.reckoning : undefined;
  });
  /** Whether what it says can be done to the pack on the screen. */
  protected readonly movable = computed(() => (this.reckoning()?.moves.length ?? 0) > 0);
  /** What is in the way of an answer: a problem, the bank, or a field that must be told. */
  protected readonly missing = computed(() => {
    const outcome = this.outcome();
    if (outcome && !outcome.ok) return sayProblem(outcome.problems[0]);
    return this.lacksBank()
      ? 'A bank is needed for this.'
      : `Tell ${this.lacking()?.label.toLowerCase() ?? ''}.`;
  });

  protected readonly toldFields = computed(() => this.pattern().fields.filter(({ setup }) => !setup));
  protected readonly setupFields = computed(() => this.pattern().fields.filter(({ setup }) => setup));
  protected readonly setup = computed(() =>
    this.setupFields()
      .map((field) => `${field.label.toLowerCase()} ${String(valueOf(field, this.values()))}`)
      .join(', '),
  );

  /** The field that the pad fills: the first that is lacking, until another is entered. */
  protected readonly active = linkedSignal<Field>(() => this.lacking() ?? this.pattern().fields[0]);
  protected readonly valueOf = valueOf;

  constructor() {
    markOnRail(() => this.reckoning()?.marks ?? []);
  }

  protected set(field: Field, value: FieldValue | undefined): void {
    void this.store.set(this.pattern().path, field.name, value);
  }

  /** What the pad gives goes to the field that is lit, and the next lacking one is lit. */
  protected take(value: number | undefined): void {
    const field = this.active();
    if (field.kind === 'suits') return;
    this.set(field, field.kind === 'numbers' && value !== undefined ? [value] : value);
    if (field.kind === 'card' || field.kind === 'rank') this.active.set(this.lacking() ?? field);
  }

  /** Lights the field after the one that is lit. */
  protected next(): void {
    const { fields } = this.pattern();
    this.active.set(
      fields[(fields.findIndex(({ name }) => name === this.active().name) + 1) % fields.length],
    );
  }

  protected padCard(card: Card): void {
    if (this.active().kind === 'card') this.take(card);
  }

  protected clear(): void {
    void this.store.clear(this.pattern().path);
  }

  protected async apply(): Promise<void> {
    const reckoning = this.reckoning();
    if (!reckoning || reckoning.moves.length === 0) return;
    await this.pack.applyAll(reckoning.moves, this.name().toLowerCase());
  }
}
