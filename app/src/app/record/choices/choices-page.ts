import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  Injector,
  linkedSignal,
  signal,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import { choiceAnswer } from '@enumeron/core/file/record/answer';
import { fitFor, nightsCounted } from '@enumeron/core/file/record/counted';
import {
  type Instruction,
  instructionKey,
  instructionsOf,
  statedChances,
  type StatedChoice,
} from '@enumeron/core/file/record/instructions';
import { sortOf } from '@enumeron/core/file/record/night';
import {
  inHundred,
  sayChoices,
  sayCount,
  sayData,
  sayInstruction,
  sayShareOf,
  sayStretch,
} from '@enumeron/core/file/record/sayChoices';
import { compareWordings, shareWithin } from '@enumeron/core/file/record/within';
import { ByRecord } from '../../nouns/procedures/by-record';
import { NightsStore } from '../../nouns/performances/nights.store';
import { ProcedureRow } from '../../nouns/procedures/procedures.kind';
import { refresh } from '../../nouns/performances/refresh-later';
import { Scripts } from '../../platform/scripts';
import { Choice } from '../../ui/choice';
import { Stated } from '../stated';
import { ChoicesChart } from './choices-chart';

/** Which of two wordings keeps them in the range more often. @param chance that the second does. */
const sayBetter = (chance: number): string =>
  chance >= 0.5
    ? `This one keeps them there more often: ${inHundred(chance)} chances in 100.`
    : `The first keeps them there more often: ${inHundred(1 - chance)} chances in 100.`;

/** A choice of a procedure that is made on an instruction. */
interface Use {
  readonly row: ProcedureRow;
  readonly choice: StatedChoice;
}

/** What helpers choose on each instruction: what was seen, what was stated, and what to ask for. */
@Component({
  selector: 'en-choices-page',
  imports: [Choice, ChoicesChart, MatMenu, MatMenuContent, MatMenuItem, MatMenuTrigger, RouterLink],
  providers: [Stated],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './choices-page.html',
  styleUrls: ['../../ui/page.scss', '../answer.scss', './choices-page.scss'],
})
export class ChoicesPage {
  private readonly store = inject(NightsStore);
  private readonly stated = inject(Stated);
  protected readonly byRecord = inject(ByRecord);
  private readonly router = inject(Router);
  private readonly injector = inject(Injector);
  private readonly scripts = inject(Scripts);
  private readonly query = toSignal(inject(ActivatedRoute).queryParamMap);

  protected readonly isRead = computed(() => this.store.all() !== undefined);
  private readonly nights = computed(() => this.store.all() ?? []);
  protected readonly practice = signal(false);
  protected readonly audience = signal<string | undefined>(undefined);
  /** Every audience that there was, with all of them first. */
  protected readonly audiences = computed((): readonly (string | undefined)[] => {
    const real = this.nights().filter((night) => sortOf(night) === 'real');
    const named = [...new Set(real.map(({ audience }) => audience))].sort();
    return named.length < 2 ? [] : [undefined, ...named];
  });
  protected readonly sayAudience = (audience: string | undefined): string =>
    audience === undefined ? 'every audience' : audience === '' ? 'none noted' : audience;
  private readonly counted = computed(() => ({
    ...(this.audience() !== undefined && { audience: this.audience() }),
    practice: this.practice(),
  }));
  protected readonly hasPractice = computed(() => this.nights().some(({ practice }) => practice));

  /** Every instruction, those of practice too: one that is chosen stays whatever counts. */
  private readonly all = computed(() => instructionsOf(nightsCounted(this.nights(), { practice: true })));
  private readonly now = computed(
    () =>
      new Map(instructionsOf(nightsCounted(this.nights(), this.counted())).map((each) => [each.key, each])),
  );
  protected readonly list = computed(() =>
    this.all().map((each) => {
      const n = this.now().get(each.key)?.made.length ?? 0;
      return { key: each.key, says: sayInstruction(each), n, count: sayCount(each, n) };
    }),
  );
  protected readonly chosen = computed(() => {
    const key = this.query()?.get('of');
    return this.all().find((each) => each.key === key) ?? this.all().at(0);
  });
  protected readonly chosenSays = computed(() => {
    const chosen = this.chosen();
    return chosen ? sayInstruction(chosen) : '';
  });

  /** The choices of procedures that are made on what is chosen: the one on which it was made last comes first. */
  protected readonly uses = computed((): readonly Use[] => {
    const chosen = this.chosen();
    if (!chosen) return [];
    const ids = new Set(chosen.made.map(({ routine }) => routine.id));
    const own = new Set([...ids].flatMap((id) => this.stated.procedureOf(id) ?? []));
    const all = this.stated.procedures().flatMap((row) =>
      this.stated.choicesOf(row.procedure).flatMap((choice): Use[] => {
        const keys = choice.said.map((said) => instructionKey({ said, name: choice.name }, ''));
        const isOwn = own.has(row.procedure) && choice.name === chosen.name && chosen.said === '';
        return keys.includes(chosen.key) || isOwn ? [{ row, choice }] : [];
      }),
    );
    return [...all].sort((a, b) => Number(own.has(b.row.procedure)) - Number(own.has(a.row.procedure)));
  });
  /** The instruction as a choice is stated; without a procedure all is as likely. */
  private statedOf(instruction: Instruction, uses: readonly Use[]): StatedChoice {
    const { name, from, to, words, said } = instruction;
    const own = uses.find(({ choice }) => choice.name === name) ?? uses.at(0);
    if (own) return { ...own.choice, from: own.choice.from ?? from, to: own.choice.to ?? to };
    return { path: '', name, likely: undefined, said: [said], ways: words, from, to };
  }

  /** What is said of it. */
  protected readonly found = computed(() => {
    const chosen = this.chosen();
    if (!chosen) return undefined;
    const stated = this.statedOf(chosen, this.uses());
    const instruction = this.now().get(chosen.key);
    const fit = fitFor(stated, instruction);
    const before = statedChances(stated.likely, { from: fit.from, to: fit.from + fit.chances.length - 1 });
    const answer = choiceAnswer(fit, before);
    return { fit, before, answer, isWay: chosen.isWay, ways: stated.ways ?? [], likely: stated.likely };
  });
  protected readonly headline = computed(() => {
    const [chosen, found] = [this.chosen(), this.found()];
    return chosen && found ? sayChoices(chosen, found.fit, found.answer) : '';
  });
  protected readonly says = computed(() => {
    const [chosen, found] = [this.chosen(), this.found()];
    if (!chosen || !found) return '';
    const { fit, answer } = found;
    const count = sayCount(chosen, fit.n);
    if (fit.n === 0) return 'Write a night down, or count practice, too.';
    if (chosen.isWay) return `${count}; ${sayData(fit.data)}.`;
    return `${count}, two in three within ${answer.within.toString()} of it; ${sayData(fit.data)}.`;
  });
  protected readonly asks = computed(() => {
    const found = this.found();
    if (!found || found.isWay) return [];
    return [
      { share: 80, stretch: found.answer.in80 },
      { share: 95, stretch: found.answer.in95 },
    ].flatMap(({ share, stretch }) => (stretch ? [{ share, says: sayStretch(stretch) }] : []));
  });

  /** The range to keep them in: at first the one in which 80 of 100 choose. */
  protected readonly range = linkedSignal(() => {
    const found = this.found();
    const range = found?.answer.in80;
    return { from: range?.from ?? 1, to: range?.to ?? 1, key: this.chosen()?.key };
  });
  /** Another instruction that the user lays beside it. */
  protected readonly beside = linkedSignal<string | undefined, string | undefined>({
    source: () => this.chosen()?.key,
    computation: () => undefined,
  });
  /** The instructions that it can be compared with. */
  protected readonly comparable = computed(() =>
    this.all().filter((each) => each.key !== this.chosen()?.key && !each.isWay && this.now().has(each.key)),
  );
  protected readonly sayOf = sayInstruction;
  /** Other wordings of the same choice, each with how often it keeps them in the range. */
  protected readonly wordings = computed(() => {
    const [chosen, found] = [this.chosen(), this.found()];
    if (!chosen || !found || found.isWay) return [];
    const { from, to } = this.range();
    const routines = new Set(chosen.made.map(({ routine }) => routine.id));
    const isOfSame = (each: Instruction): boolean =>
      each.name === chosen.name && each.made.some(({ routine }) => routines.has(routine.id));
    const others = this.comparable().filter((each) => isOfSame(each) || each.key === this.beside());
    return [chosen, ...others].map((each) => {
      const fit =
        each === chosen ? found.fit : fitFor(this.statedOf(each, this.uses()), this.now().get(each.key));
      return {
        ...{ key: each.key, says: sayInstruction(each), n: fit.n },
        share: sayShareOf(shareWithin(fit, from, to)),
        better: each === chosen ? '' : sayBetter(compareWordings(found.fit, fit, from, to)),
      };
    });
  });

  protected readonly used = computed(() =>
    this.uses().map(({ row, choice }) => ({
      ...{ id: row.id, name: row.procedure.name || 'Without a name', choice: choice.name },
      isWeighed: this.byRecord.of(row.id, choice.name)?.key === this.chosen()?.key,
    })),
  );

  protected pick(key: string): void {
    void this.router.navigate([], {
      queryParams: { of: key },
      queryParamsHandling: 'merge',
      replaceUrl: true,
    });
  }

  protected setRange(end: 'from' | 'to', value: number): void {
    if (Number.isSafeInteger(value)) this.range.update((range) => ({ ...range, [end]: value }));
  }

  /** Weighs a choice of a procedure by what counts here, or as it is stated again. */
  protected weigh(id: string, name: string, isWeighed: boolean): void {
    const chosen = this.chosen();
    if (!chosen) return;
    const audience = this.audience();
    const weighing = this.byRecord.weigh(
      id,
      name,
      isWeighed
        ? undefined
        : {
            ...{ key: chosen.key, said: chosen.said },
            ...(audience !== undefined && { audience }),
            ...(this.practice() && { practice: true as const }),
          },
    );
    // At once: whoever leaves the room finds it worked out.
    void weighing.then(() => refresh(this.injector, this.scripts));
  }
}
