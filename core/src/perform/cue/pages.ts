import { NONE } from '../../procedure/form';
import { UNSET } from '../../procedure/program';
import { byOf, Step } from '../../procedure/procedure';
import { namesRead } from '../../procedure/walk';
import { pathOf, stepAt } from '../../rehearse/editSteps';
import { saidTo } from '../../rehearse/says';
import { sayCard } from '../../rehearse/sayCard';
import { sayExpression, sayStep, stepSentence } from '../../rehearse/sentence';
import { titled } from '../../rehearse/watched';
import { Fits } from './fits';
import { Followed } from './followed';
import { Ask, EndPage, RunPage, StepPage } from './page';
import { END, Fit, Moment, Waits } from './search';
import { madeOf, sayAmounts, WorkedStep } from './worked';

/** Steps that are no page of their own: they ask, prove and branch. */
const SILENT: ReadonlySet<Step['do']> = new Set(['if', 'repeat', 'require', 'claim', 'claim known']);

const SUIT_NAMES = ['clubs', 'diamonds', 'hearts', 'spades'] as const;

const sayValue = (followed: Followed, name: string, value: number): string =>
  followed.kinds.get(name) === 'card' ? sayCard(value) : value.toString();

/** Words of a way inside a sentence: without their capital and full stop. */
const unstopped = (words: string): string =>
  words.replace(/\.$/, '').replace(/^(They |It |The |On)/, (found) => found.toLowerCase());

/** Makes the pages of a procedure, in the words of an audience. */
export class Pages {
  /** How many cards lie on the table. */
  private readonly cards: number;

  constructor(
    private readonly followed: Followed,
    private readonly audience: string | undefined,
    private readonly found: Fits,
  ) {
    this.cards = followed.program.start.reduce((sum, { length }) => sum + length, 0);
  }

  private stepAt(path: string): Step | undefined {
    return stepAt(this.followed.own.steps, pathOf(path));
  }

  /** What a name holds, where it is the same in all that fits; what is counted on the table only where all was looked at. */
  private valueOf(moment: Moment, name: string, isCounted: boolean): number | undefined {
    const { open, isWhole } = this.found;
    const index = this.followed.program.names.indexOf(name);
    if (open.has(index) || (isCounted && !isWhole)) return undefined;
    const value = moment.values[index] as number | undefined;
    return value === UNSET || value === NONE ? undefined : value;
  }

  /** What a step says: its amounts in numbers where the performer knows them. */
  private sentence(step: Step, path: string, moment: Moment | undefined): string {
    const amounts = this.followed.amounts.get(path);
    const words = stepSentence(step)
      .map((part) => {
        if (!('field' in part)) return part.text;
        const amount = amounts?.get(part.field);
        const value = amount && moment && this.valueOf(moment, amount.kept, amount.isCounted);
        if (amount && value !== undefined) return amount.kind === 'card' ? sayCard(value) : value.toString();
        const isFelt = 'felt' in step && step.felt === true;
        const isHidden =
          !amount &&
          part.field === 'count' &&
          (byOf(step) === 'helper' || isFelt || this.isUncounted(step)) &&
          !/^\d+$/.test(part.text);
        return isHidden ? 'some' : part.text;
      })
      .join('')
      .replace(/(?<!− )\b1 cards\b/, '1 card');
    const by = byOf(step);
    return titled(by === 'helper' ? `they ${words}` : by === 'all' ? `all ${words}` : words);
  }

  /** Whether nobody counted the cards that a step is about. */
  private isUncounted(step: Step): boolean {
    return 'count' in step && typeof step.count === 'string' && !this.followed.amounts.has(step.count);
  }

  private sumOf(path: string, step: Step, moment: Moment): string {
    const terms = this.followed.terms.get(path) ?? [];
    const total = 'name' in step ? this.workedOut(moment, step.name) : undefined;
    const amounts = terms.map(({ kept, sign, isCounted }) => {
      const value = this.valueOf(moment, kept, isCounted);
      return value === undefined ? undefined : sign * value;
    });
    const isKnown = (amount: number | undefined): amount is number => amount !== undefined;
    return total === undefined || !amounts.every(isKnown) ? '' : sayAmounts(amounts, total);
  }

  private workedOut(moment: Moment, name: string): number | undefined {
    return this.valueOf(moment, name, this.followed.counted.has(name));
  }

  private page(path: string, step: Step, more: Partial<StepPage>): StepPage {
    return {
      ...{
        kind: 'step',
        path,
        name: 'name' in step ? step.name : '',
        sums: [],
        does: '',
        ask: undefined,
        shows: undefined,
      },
      ...{ moment: undefined, caution: step.caution, note: step.note },
      says: this.saidAt(step),
      ...more,
    };
  }

  private saidAt(step: Step): readonly string[] {
    const said = saidTo(step.says, this.audience);
    return said === undefined ? [] : [said];
  }

  /** What was done since the last answer, a step a page; and the claims that were met at its end. */
  private stretch(moments: readonly Moment[]): { pages: StepPage[]; claims: string[] } {
    const pages: StepPage[] = [];
    let claims: string[] = [];
    let says: readonly string[] = [];
    const shown = new Set<string>();
    let worked: WorkedStep[] = [];
    const sums = (some: readonly WorkedStep[]): readonly string[] =>
      some.map((each) => this.sumOf(each.path, each.step, each.moment)).filter(Boolean);
    /** What was worked out and is not a part of what comes next: a page for each, with what it was made of. */
    const flush = (some: readonly WorkedStep[]): void => {
      const last = some.at(-1);
      if (!last) return;
      const [others, own] = madeOf(some.slice(0, -1), namesRead(last.step.what));
      flush(others);
      const { path, step, moment } = last;
      const value = this.workedOut(moment, step.name);
      // What depends on what only the performer can count is left to them.
      const says = value === undefined ? sayExpression(step.what) : sayValue(this.followed, step.name, value);
      pages.push(
        this.page(path, step, { does: `${titled(step.name)}: ${says}`, sums: sums([...own, last]), moment }),
      );
    };
    for (const moment of moments) {
      const { path, isDone, isCertain } = moment;
      const step = this.stepAt(path);
      // What only some may do, who chose in secret, is theirs alone.
      if (!step || (!isDone && byOf(step) === 'helper')) continue;
      if (step.do === 'claim' && step.words !== undefined) claims = [...claims, step.words];
      if (step.do === 'out') {
        flush(worked);
        pages.push(
          this.page(path, step, { does: `Out: ${step.words}`, says: [...says, ...this.saidAt(step)] }),
        );
        [worked, says] = [[], []];
        continue;
      }
      if (SILENT.has(step.do)) continue;
      if (step.do === 'work out') {
        if (byOf(step) !== 'helper') worked = [...worked, { path, step, moment }];
        continue;
      }
      const mine = byOf(step) !== 'helper';
      // What they do over and over is told once.
      if (!mine && shown.has(path)) continue;
      shown.add(path);
      // What they choose in secret shows in what they do next.
      if (step.do === 'choose') {
        flush(worked);
        worked = [];
        says = [...says, ...this.saidAt(step)];
        continue;
      }
      if (step.do === 'choose one') {
        flush(worked);
        worked = [];
        const ways = step.of.map(({ words }) => unstopped(words)).join(', or ');
        pages.push(
          this.page(path, step, { does: `They choose: ${ways}`, says: [...says, ...this.saidAt(step)] }),
        );
        [says, claims] = [[], []];
        continue;
      }
      const [others, used] = madeOf(worked, mine ? Object.values(step).flatMap(namesRead) : []);
      flush(others);
      pages.push(
        this.page(path, step, {
          does: `${isDone ? '' : 'Perhaps: '}${step.do === 'see' ? this.lookAt(step) : this.sentence(step, path, moment)}`,
          says: [...says, ...this.saidAt(step)],
          sums: sums(used),
          moment: isCertain ? moment : undefined,
        }),
      );
      [worked, says, claims] = [[], [], []];
    }
    flush(worked);
    // A choice in secret that nothing followed.
    if (says.length > 0) {
      const path = moments[moments.length - 1].path;
      const step = this.stepAt(path);
      if (step) pages.push(this.page(path, step, { does: 'They choose', says }));
    }
    return { pages, claims };
  }

  private lookAt(step: Step): string {
    const what = step.do === 'see' ? sayExpression(step.what) : '';
    return byOf(step) === 'helper'
      ? `They look at ${what}`
      : byOf(step) === 'all'
        ? `All see ${what}`
        : `See ${what}`;
  }

  private askOf(step: Step, waits: readonly Waits[]): Ask {
    if (step.do === 'choose one')
      return { kind: 'option', options: step.of.map(({ words }) => words), from: 1 };
    if ('name' in step && this.followed.kinds.get(step.name) === 'card') return { kind: 'card' };
    if (step.do === 'see' && typeof step.what === 'object') {
      if ('rank of' in step.what) return { kind: 'rank' };
      if ('suit of' in step.what) return { kind: 'option', options: SUIT_NAMES, from: 0 };
      if ('colour of' in step.what) return { kind: 'option', options: ['black', 'red'], from: 0 };
      if ('whether' in step.what) return { kind: 'option', options: ['no', 'yes'], from: 0 };
    }
    const choices = waits.flatMap((each) => (each.kind === 'choose' ? [each] : []));
    if (choices.length === 0) return { kind: 'number', from: 0, to: this.cards };
    return {
      kind: 'number',
      from: Math.min(...choices.map(({ from }) => from)),
      to: Math.max(...choices.map(({ to }) => to)),
    };
  }

  private eventPage(path: string, step: Step, { fits, isWhole }: Fits): StepPage {
    const waits = fits.map((fit) => fit.waits);
    const ask = this.askOf(step, waits);
    const values = new Set(waits.map((each) => (each.kind === 'see' ? each.value : NaN)));
    const [value] = values;
    const isSure = isWhole && values.size === 1 && !Number.isNaN(value);
    const name = 'name' in step ? step.name : '';
    const range = ask.kind === 'number' && step.do === 'choose';
    const mine = byOf(step) !== 'helper';
    return this.page(path, step, {
      ask,
      does:
        step.do === 'see'
          ? this.lookAt(step)
          : `${mine ? 'Choose' : 'They choose'}: ${name}${range ? `, ${ask.from.toString()} to ${ask.to.toString()}` : ''}`,
      shows: isSure ? { value, says: this.saySight(ask, name, value) } : undefined,
    });
  }

  private saySight(ask: Ask, name: string, value: number): string {
    return ask.kind === 'option'
      ? (ask.options[value - ask.from] ?? '')
      : sayValue(this.followed, name, value);
  }

  private endPage({ waits }: Fit, claims: readonly string[]): EndPage {
    const end = waits as Extract<Waits, { kind: 'end' }>;
    const step = this.stepAt(end.path);
    const words =
      end.how === 'held'
        ? claims
        : step === undefined
          ? []
          : [
              step.do === 'out'
                ? step.words
                : 'words' in step && step.words !== undefined
                  ? step.words
                  : sayStep(step),
            ];
    return { kind: 'end', how: end.how, words };
  }

  /** The pages from the last answer to the next, or to the end; one at least. */
  of(): readonly RunPage[] {
    const { found } = this;
    const { fits, moments } = found;
    if (fits.length === 0) return [{ kind: 'nothing' }];
    const { pages, claims } = this.stretch(moments);
    const where = new Map(fits.map((fit) => [fit.waits.kind === 'end' ? END : fit.waits.path, fit]));
    if (where.size > 1)
      return [
        ...pages,
        {
          kind: 'which',
          options: [...where].map(([at]) => {
            const step = this.stepAt(at);
            return { at, words: step ? this.whichWords(step) : 'It has come to its end' };
          }),
        },
      ];
    const [[at, fit]] = where;
    const step = this.stepAt(at);
    return [...pages, at === END || !step ? this.endPage(fit, claims) : this.eventPage(at, step, found)];
  }

  private whichWords(step: Step): string {
    return step.do === 'see' ? this.lookAt(step) : titled(sayStep(step));
  }
}
