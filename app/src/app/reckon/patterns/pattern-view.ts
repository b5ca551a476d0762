import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { completeValues, sayValues } from '@enumeron/core/form';
import { sayProblem } from '@enumeron/core/deck';
import { kindsOfWay } from '@enumeron/core/file/learn/sums/kinds';
import { estimatesOf, keyCardTry, keyCardUse } from '@enumeron/core/reckon/patterns';
import { OrdersStore } from '../../nouns/orders/orders.store';
import { SettingsStore } from '../../nouns/settings/settings.store';
import { markOnRail } from '../../nouns/pack/marks';
import { PackStore } from '../../nouns/pack/pack.store';
import { PatternsStore } from '../../nouns/pack/patterns.store';
import { isSentPath, SentStore } from '../../nouns/procedures/sent.store';
import { Undoing } from '../../storage/undoing';
import { Notices } from '../../platform/notices';
import { HandSum } from '../../ui/hand-sum';
import { answerOf, jobView } from '../../platform/workers/job-view';
import { ArgsOf } from '../../platform/workers/jobs';
import { DoPanel } from '../answer/do-panel';
import { KnownList } from '../answer/known-list';
import { Pattern, PatternPack, PATTERNS } from '@enumeron/core/reckon/patterns';
import { TellFields } from '../../ui/form/tell-fields';
import { Telling } from '../../ui/form/telling';
import { wayAt } from '../ways/ways';
import { titled } from '../../ui/titled';
import { TheyPipe } from '../../ui/they-pipe';

/** How many riffles a key card is tried over, on how many packs, from which seed. */
const [RIFFLES, PACKS, SEED] = [5, 40_000, 7];

/** A pattern of which nothing is known yet. */
const nothingAt = (path: string): Pattern => ({
  ...{ path, lead: '', fields: [] },
  reckon: () => ({ ok: false, problems: [] }),
});

/** One pattern of Reckon in its one shape: what was seen, what is known, what to do. */
@Component({
  selector: 'en-pattern-view',
  imports: [DoPanel, HandSum, KnownList, MatButton, RouterLink, TellFields, TheyPipe],
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

  private readonly sentStore = inject(SentStore);
  private readonly undoing = inject(Undoing);
  private readonly notices = inject(Notices);

  /** The procedure that this was sent from; undefined where it is a pattern of our own. */
  protected readonly sent = computed(() => this.sentStore.at(this.path()));
  protected readonly pattern = computed<Pattern>(() => {
    if (!isSentPath(this.path())) return PATTERNS.find(({ path }) => path === this.path()) ?? PATTERNS[0];
    return this.sent()?.as?.pattern ?? nothingAt(this.path());
  });
  /** What is in the way of a procedure that was sent here. */
  protected readonly unsent = computed(() => {
    if (!isSentPath(this.path())) return undefined;
    const sent = this.sent();
    if (sent?.as?.problem)
      return `It cannot be reckoned with as it is written. ${sayProblem(sent.as.problem)}`;
    if (sent) return sent.as ? undefined : 'Reading the procedure …';
    return this.sentStore.isReady()
      ? 'It is not here any more: its procedure was removed, or taken out of Reckon.'
      : 'Reading the procedure …';
  });
  /** Whether Learn has a sum of this kind. */
  protected readonly practises = computed(
    () => kindsOfWay(this.pattern().path).length > 0 || this.sent()?.as?.sum !== undefined,
  );
  protected readonly name = computed(() => this.sent()?.name ?? wayAt(this.pattern().path).name);
  private readonly values = this.store.values(computed(() => this.pattern().path));
  protected readonly telling = new Telling(this.pattern, this.values, ({ name }, value) => {
    void this.store.set(this.pattern().path, name, value);
  });

  private readonly bank = computed(() => {
    const origin = this.orders.find(this.pack.pack().orderId)?.origin;
    return origin?.kind === 'bank' ? origin.bank : undefined;
  });
  protected readonly lacksBank = computed(
    () => this.pattern().needsBank && !this.bank() && this.orders.isRead(this.pack.pack().orderId),
  );

  /** How often a key card still leads where it led, tried on many packs. */
  private readonly tried = jobView('key card', () => {
    const [bank, key] = [this.bank(), this.values()['key']];
    if (this.pattern().path !== 'key-card' || !bank || typeof key !== 'number') return undefined;
    const use = keyCardUse(completeValues(this.pattern(), this.values()));
    return {
      ...keyCardTry(this.pack.now(), bank, key, use),
      ...{ riffles: RIFFLES, packs: PACKS, seed: SEED },
    };
  });
  private readonly estimates = computed(() => {
    const tried = this.tried();
    if (tried?.kind === 'running') return estimatesOf(tried.progress);
    return tried?.kind === 'ended' && tried.result ? estimatesOf(tried.result) : [];
  });

  private readonly patternPack = computed<PatternPack>(() => ({
    home: this.pack.home(),
    now: this.pack.now(),
    bank: this.bank(),
    shift: this.settings.tolerance().shift,
    estimates: this.estimates(),
  }));
  private readonly isTold = computed(
    () => !this.telling.lacking() && !this.lacksBank() && this.unsent() === undefined,
  );
  private readonly complete = computed(() => completeValues(this.pattern(), this.values()));
  /** What is too long for the page is worked out beside it. */
  private readonly beside = computed(() =>
    this.isTold() ? this.pattern().beside?.(this.complete(), this.patternPack()) : undefined,
  );
  private readonly job = jobView('sent pattern', () => this.beside() as ArgsOf<'sent pattern'> | undefined);
  private readonly outcome = computed(() => {
    if (!this.isTold()) return undefined;
    return this.beside() === undefined
      ? this.pattern().reckon(this.complete(), this.patternPack())
      : answerOf(this.job());
  });
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
    const unsent = this.unsent();
    if (unsent !== undefined) return unsent;
    if (this.beside() !== undefined)
      return this.job()?.kind === 'failed'
        ? 'Part of Enumeron didn’t load. Reload the page.'
        : 'Working it out …';
    return this.lacksBank() ? 'A bank is needed for this.' : (this.telling.lacking()?.asks ?? '');
  });
  /** Values to try it with. */
  private readonly exampleValues = computed(() =>
    this.lacksBank() || this.unsent() !== undefined
      ? undefined
      : this.pattern().example?.(this.patternPack()),
  );
  protected readonly example = computed(() => {
    const values = this.exampleValues();
    return values && sayValues(this.pattern(), values);
  });

  constructor() {
    titled('Reckon', () => this.name());
    markOnRail(() => this.reckoning()?.marks ?? []);
  }

  protected tryExample(): void {
    const values = this.exampleValues();
    if (values) void this.store.fill(this.pattern().path, values);
  }

  /** What else it finds may be its answer. */
  protected async ask(answer: string): Promise<void> {
    const sent = this.sent();
    if (sent) await this.sentStore.ask(sent, answer);
  }

  protected async takeOut(): Promise<void> {
    const sent = this.sent();
    if (!sent) return;
    await this.sentStore.takeBack(sent);
    await this.notices.offerUndo(`${sent.name} is removed from Reckon.`, () => this.undoing.undo('table'));
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
