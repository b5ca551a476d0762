import { computed, inject, Injectable, untracked } from '@angular/core';
import { ParamMap } from '@angular/router';
import { seededRng } from '@enumeron/core/deck';
import {
  askSum,
  Drawn,
  drawSum,
  Inputs,
  nextLevel,
  Answer,
  sameSaid,
  showSaid,
  SumKind,
} from '@enumeron/core/learn';
import { Journal } from '../../storage/journal';
import { placeOf } from '../../storage/kind';
import { SumRow, SUMS } from '../../nouns/learning/sums.kind';
import { newId } from '../../platform/new-id';
import { Clock } from '../../platform/clock';
import { counted, PRACTICE_PLACE } from '../drill/practice-row';
import { Given, How, Question, Source, TakenBack } from '../drill/source';
import { LearnStore } from '../../nouns/learning/learn.store';
import { SumsStore } from '../../nouns/learning/sums.store';

interface SumQuestion extends Question {
  readonly drawn: Drawn;
}

/** Sums of the order in hand, as hard as the user can just do them. */
@Injectable()
export class SumSource extends Source {
  private readonly journal = inject(Journal);
  private readonly store = inject(LearnStore);
  private readonly sums = inject(SumsStore);
  private readonly clock = inject(Clock);
  /** The way of Reckon that is practised, where it was opened from there. */
  private way: string | null = null;
  /** The kinds that are practised by their names, where the address has them. */
  private named: readonly string[] = [];

  override readonly back = '/learn/sums';
  override readonly title = computed(() => `Sums, ${this.store.name()}`);
  override readonly isRead = computed(
    () => this.store.isRead() && this.sums.isRead() && this.sums.orderRead(),
  );
  override readonly fluent = this.sums.wanted;

  private rng = seededRng(1);
  private readonly last = new Map<SumKind, Inputs>();
  private lastKind: SumKind | undefined;

  constructor() {
    super();
    void this.sums.load();
  }

  override get what(): string {
    const named = this.named.length > 0 ? `sums: ${this.named.join()}` : 'sums';
    return this.way === null ? named.slice(0, 40) : `sums of ${this.way}`;
  }

  override begin(query: ParamMap): void {
    this.way = query.get('way');
    this.named = (query.get('kinds') ?? '').split(',').filter((name) => name !== '');
    this.rng = seededRng(Math.floor(this.clock.now()) % 2 ** 31);
    this.last.clear();
  }

  /** The kinds that are practised here: those of the way, as far as the order has them. */
  private kinds(): readonly SumKind[] {
    if (this.named.length > 0) return this.sums.kinds().filter(({ name }) => this.named.includes(name));
    if (this.way === null) return this.sums.chosen();
    return this.sums.kinds().filter(({ way }) => way === this.way);
  }

  override next(): SumQuestion | undefined {
    this.store.look();
    const kind = untracked(() => this.nextKind());
    if (!kind) return undefined;
    const fluency = untracked(() => this.sums.standingOf(kind)?.fluency ?? []);
    const pack = untracked(this.sums.pack);
    const drawn = drawSum(kind, pack, nextLevel(fluency, this.rng), this.rng, this.last.get(kind));
    if (!drawn) return undefined;
    this.last.set(kind, drawn.inputs);
    this.lastKind = kind;
    return this.questionOf(drawn);
  }

  /** A kind by chance, those more often that need it more; not twice the same where there are others. */
  private nextKind(): SumKind | undefined {
    const kinds = this.kinds();
    const others = kinds.filter((kind) => kind !== this.lastKind);
    const from = others.length > 0 ? others : kinds;
    const needs = from.map((kind) => this.sums.standingOf(kind)?.need ?? 1);
    let left = this.rng() * needs.reduce((sum, need) => sum + need, 0);
    return from.find((_, index) => (left -= needs[index]) < 0) ?? from.at(-1);
  }

  private questionOf(drawn: Drawn): SumQuestion {
    const { kind, sum } = drawn;
    return { drawn, asks: kind.answer, question: askSum(kind, sum), prompt: sum.shown, isWhole: true };
  }

  override stands(question: Question): boolean {
    const { kind, inputs, sum } = (question as SumQuestion).drawn;
    const now = kind.make(this.sums.pack(), inputs);
    return now?.shown === sum.shown && sameSaid(now.truth, sum.truth);
  }

  override again(question: Question): Question {
    return { ...question };
  }

  override give(question: Question, said: Answer, how: How, spent: number): Given {
    const { kind, inputs, sum, level } = (question as SumQuestion).drawn;
    const right = sameSaid(sum.truth, said);
    const row: SumRow = {
      ...{ id: newId(), order: this.store.orderId(), kind: kind.name, inputs, level, at: this.clock.now() },
      asked: [sum.shown, sum.given].filter((part) => part !== undefined).join(', '),
      ...{ truth: showSaid(sum.truth), answered: showSaid(said), right, ms: Math.round(how.ms) },
      ...(how.interrupted ? { interrupted: true as const } : {}),
    };
    const stored = this.journal.commit(
      `answer a sum`,
      [placeOf(SUMS, row.id), PRACTICE_PLACE],
      ([, practice]) => [row, counted(practice, spent, right, 1)],
    );
    this.sums.add(row);
    this.store.look();
    return {
      ...{ question, right, truth: sum.truth, said, mixed: '', lines: sum.lines, ms: how.ms, stored },
      ...{ hinted: false, interrupted: how.interrupted === true },
      takeBack: () => this.takeBack(row, stored),
    };
  }

  private async takeBack(row: SumRow, stored: Given['stored']): Promise<TakenBack> {
    await stored;
    if (this.journal.held() > 0) return 'not stored yet';
    const done = await this.journal.commit(
      'take back a sum',
      [placeOf(SUMS, row.id), PRACTICE_PLACE],
      ([answer, practice]) =>
        answer && !answer.withdrawn
          ? [{ ...answer, withdrawn: true as const }, counted(practice, 0, row.right, -1)]
          : undefined,
    );
    if (done === 'stored') this.sums.remove(row.id);
    return done === 'stored' ? 'taken back' : done === 'held' ? 'not stored yet' : 'answered since';
  }
}
