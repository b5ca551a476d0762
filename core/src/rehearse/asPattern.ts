import { Card } from '../deck/card';
import { Outcome, Problem } from '../deck/problem';
import { randomInt, Rng, seededRng } from '../deck/rng';
import { Values } from '../form/field';
import { placeOf } from '../deck/order';
import { finish, Job, JobRule, runJob } from '../job/job';
import { Kind } from '../procedure/form';
import { Machine } from '../procedure/machine';
import { Procedure, Step } from '../procedure/procedure';
import { compile } from '../procedure/compile';
import { UNSET } from '../procedure/program';
import { anyStep } from '../procedure/walk';
import { INDIFFERENT } from '../procedure/packets';
import { Pattern, PatternPack } from '../reckon/patterns/pattern';
import { KnownFact, Reckoned, reckoned, ReckonMark, unreckoned } from '../reckon/reckoning';
import { add, result, start, SumLine } from '../deck/sumLine';
import { actOut } from './actOut';
import { pathOf, stepAt } from './editSteps';
import { onPack } from './onPack';
import { hasChance } from './prove';
import { sayCard } from './sayCard';
import { answering, cardsNamed, Finding, Sight, titled, instrument, Instrumented } from './watched';

/** So many steps are done for one answer. */
const BUDGET = 1_500_000;
/** So many are done on the page, within a frame or two; what takes more is done beside it. */
const AT_HAND = 30_000;
/** After so many steps it is looked whether there is enough. */
const AT_ONCE = 10_000;
/** So many worlds that fit what was seen are looked at. */
const MOST_WORLDS = 4000;
/** So many answers are named where several fit. */
const MOST_NAMED = 3;

/** One world that fits what was told: what is found in it, by the name under which it is kept. */
interface Fitting {
  readonly found: ReadonlyMap<string, number>;
  readonly out: string | undefined;
  /** The path of the step that does not hold in it. */
  readonly fails: string | undefined;
}

/** The worlds that fit what was told, and whether these are all. */
interface AllFitting {
  readonly worlds: readonly Fitting[];
  readonly isWhole: boolean;
}

/** Every world that fits what was told, as far as a budget of steps goes; yields how many steps are done. */
function* fitting(
  { procedure, sights, findings, outs, written }: Instrumented,
  told: Values,
  budget: number,
): Job<number, AllFitting> {
  const program = compile(procedure);
  const at = new Map(program.names.map((name, index) => [name, index]));
  const worlds: Fitting[] = [];
  const valueOf = (machine: Machine, kept: string): number => machine.values[at.get(kept) ?? 0];
  const machine = new Machine(program, {
    sights: true,
    visit: () => undefined,
    ended: (run, how) => {
      const given = (kept: string): boolean => valueOf(run, kept) !== UNSET;
      // A world that ends before what was seen is none of those in which it is seen; one may end on the way told.
      const isSeen = ({ field, of, kept, isWay }: Sight): boolean =>
        given(kept) || (isWay && valueOf(run, of) === told[field.name]);
      if (sights.some((sight) => told[sight.field.name] !== undefined && !isSeen(sight))) return;
      const names = findings.flatMap(({ kept, terms }) => [kept, ...terms.map((term) => term.kept)]);
      const failure = how === 'failed' ? run.failures.at(-1) : undefined;
      worlds.push({
        found: new Map(
          [...names, ...sights.map(({ kept }) => kept)]
            .filter(given)
            .map((kept) => [kept, valueOf(run, kept)]),
        ),
        out: outs.find(({ kept }) => given(kept))?.words,
        fails: failure && (written.get(failure.at) ?? failure.at),
      });
    },
  });
  let done = false;
  while (!done && !machine.full && machine.steps < budget && worlds.length < MOST_WORLDS) {
    done = machine.run(Math.min(budget, machine.steps + AT_ONCE));
    yield machine.steps;
  }
  return { worlds, isWhole: done };
}

const say = (kind: Kind, value: number): string => (kind === 'card' ? sayCard(value) : value.toString());

/** What is the answer: what is found last in a world, of all or of what is called as is wanted. */
const lastOf = (
  { found }: Fitting,
  findings: readonly Finding[],
  wanted: string | undefined,
): Finding | undefined =>
  answering(
    findings.filter(({ kept }) => found.has(kept)),
    wanted,
  );

/** The answer of a world: its out, or what is found in it. */
const answerOf = (world: Fitting, findings: readonly Finding[], wanted: string | undefined): string => {
  const { found, out } = world;
  if (out !== undefined) return out.replace(/\.$/, '');
  const last = lastOf(world, findings, wanted);
  return last ? `${titled(last.words)} ${say(last.kind, found.get(last.kept) ?? 0)}` : 'Nothing to work out';
};

const named = (answers: readonly string[]): string =>
  answers.length <= MOST_NAMED
    ? answers.join(', or ')
    : `One of ${answers.length} answers: ${answers.slice(0, MOST_NAMED).join(', ')} …`;

/** What is found, where all fitting worlds have it alike. */
const knownOf = (worlds: readonly Fitting[], findings: readonly Finding[]): KnownFact[] =>
  findings.flatMap(({ words, kept, kind }): KnownFact[] => {
    const values = new Set(worlds.flatMap(({ found }) => (found.has(kept) ? [found.get(kept) ?? 0] : [])));
    if (values.size === 0) return [];
    const [value] = values;
    if (values.size > 1) return [{ words: titled(words), value: `one of ${values.size}` }];
    if (kind === 'number') return [{ words: titled(words), value }];
    const isCard = value !== INDIFFERENT;
    return [{ words: titled(words), ...(isCard ? { card: value } : { value: sayCard(value) }) }];
  });

/** The sums behind what is found, line by line, where all its parts are. */
const sumOf = ({ found }: Fitting, findings: readonly Finding[]): SumLine[] =>
  findings.flatMap(({ words, kept, kind, terms }) => {
    const total = found.get(kept);
    if (total === undefined || kind === 'card' || terms.some((term) => !found.has(term.kept))) return [];
    const amounts = terms.map(({ sign, kept: part }) => sign * (found.get(part) ?? 0));
    const lines = terms.map((term, index) => {
      const says = /^\d+$/.test(term.words) ? '' : term.words;
      return index === 0 ? start(amounts[index], says) : add(amounts[index], says);
    });
    const round = total - amounts.reduce((sum, amount) => sum + amount, 0);
    const goesRound = lines.length > 0 && round !== 0;
    return [...lines, ...(goesRound ? [add(round, 'counted round')] : []), result(total, words)];
  });

const cardOf = (
  worlds: readonly Fitting[],
  findings: readonly Finding[],
  wanted: string | undefined,
): Card | undefined => {
  const last = lastOf(worlds[0], findings, wanted);
  if (last?.kind !== 'card' || worlds.some(({ out }) => out !== undefined)) return undefined;
  const cards = new Set(worlds.map(({ found }) => found.get(last.kept)));
  const [card] = cards;
  return cards.size === 1 && card !== INDIFFERENT ? card : undefined;
};

/** What is in the way of a procedure that becomes a pattern; undefined where nothing is. */
export const whyNoPattern = (procedure: Procedure): Problem | undefined => {
  if (hasChance(procedure))
    return {
      what: 'It shuffles by chance: what follows from what you see is not certain.',
      remedy: 'Leave the shuffle out, or keep to Rehearse.',
    };
  const { sights, findings, again } = instrument(procedure);
  if (again !== undefined)
    return {
      ...{ where: `Step ${again}`, what: 'It is seen in every round of a repeat, and has no one field.' },
      remedy: 'Write the rounds out one by one.',
    };
  if (sights.length === 0)
    return { what: 'You see and are told nothing in it.', remedy: 'Add a step in which you see something.' };
  if (findings.length === 0)
    return {
      what: 'You work nothing out in it.',
      remedy: 'Add a step in which you work something out, or say what you must know.',
    };
  return undefined;
};

/** The words of a step that does not hold. */
const wordsOf = (step: Step | undefined): string =>
  step && 'words' in step && step.words !== undefined ? `: ${step.words}` : '.';

export interface SentArgs extends Asked, Pick<PatternPack, 'home' | 'now'> {
  /** What was seen, by field. */
  readonly told: Values;
}

const answerOfAll = ({ procedure, answer, told, home, now }: SentArgs, all: AllFitting): Reckoned => {
  const { procedure: laid, isInHand } = onPack(procedure, home, now);
  const watched = instrument(laid, told);
  const { worlds, isWhole } = all;
  if (worlds.length === 0)
    return isWhole
      ? unreckoned('Nothing that they can do shows that.', 'Look at what you have entered, and at the rail.')
      : unreckoned('There is too much to try for that at once.', 'Prove it in Rehearse.');
  // A sight that only some ways lead to is asked for where the others alone leave it open.
  const { sights, findings } = watched;
  const open = sights.find(
    ({ field, kept }) => told[field.name] === undefined && worlds.every(({ found }) => found.has(kept)),
  );
  if (open) return unreckoned(open.field.asks, '');
  const answers = [...new Set(worlds.map((world) => answerOf(world, findings, answer)))];
  const [first] = worlds;
  const fails = worlds.every((world) => world.fails !== undefined) ? first.fails : undefined;
  const card = cardOf(worlds, findings, answer);
  const marks: { place: number; mark: ReckonMark }[] = sights.flatMap(({ field }) => {
    const seen = told[field.name];
    const place = field.kind === 'card' && typeof seen === 'number' ? placeOf(now, seen) : undefined;
    return place === undefined ? [] : [{ place, mark: 'seen' as const }];
  });
  const wanted = card === undefined ? undefined : placeOf(now, card);
  return reckoned({
    answer: named(answers),
    known: knownOf(worlds, findings),
    sum: answers.length === 1 ? sumOf(first, findings) : [],
    notes: [
      ...(fails === undefined
        ? []
        : [
            `On the pack as it lies it does not come right: step ${fails}${wordsOf(stepAt(procedure.steps, pathOf(fails)))}`,
          ]),
      ...(answers.length > 1 ? ['What you saw leaves this open.'] : []),
      ...(isInHand
        ? []
        : ['Reckoned on the procedure’s own cards: it has no packet of as many as your pack.']),
      ...(isWhole ? [] : ['There was no time to try everything: other answers may fit as well.']),
    ],
    marks: [...marks, ...(wanted === undefined ? [] : [{ place: wanted, mark: 'wanted' as const }])],
  });
};

const watchedOn = ({ procedure, told, home, now }: SentArgs): Instrumented =>
  instrument(onPack(procedure, home, now).procedure, told);

/** What a procedure that was sent answers, as a job. */
export const SENT_PATTERN: JobRule<SentArgs, number, Reckoned> = {
  *start(args) {
    return answerOfAll(args, yield* fitting(watchedOn(args), args.told, BUDGET));
  },
};

/** A procedure, and what is the answer in it: what is called so, or else what is found last. */
export interface Asked {
  readonly procedure: Procedure;
  readonly answer?: string;
}

/** One world by chance: what is told in it, what is answered, and the sum behind that. */
export interface Drawn {
  readonly told: Values;
  /** What is found last; undefined where it ends in an out, or does not come right. */
  readonly answer: { readonly finding: Finding; readonly value: number } | undefined;
  readonly lines: readonly SumLine[];
  readonly sights: readonly Sight[];
}

export const drawWorld = (
  { procedure, answer }: Asked,
  { home, now }: Pick<PatternPack, 'home' | 'now'>,
  rng: Rng,
): Drawn | undefined => {
  const watched = instrument(onPack(procedure, home, now).procedure);
  // Drawn only where it is needed: a stored answer holds the seed of the world that it was asked of.
  const seed = anyStep(procedure.steps, (step) => step.do === 'mix') ? 1 + randomInt(rng, 2 ** 30) : 1;
  const acted = actOut(watched.procedure, [], seed, rng);
  const names = acted.scenes.at(-1)?.names ?? [];
  const found = new Map(names.map(({ name, value }) => [name, value]));
  const world: Fitting = { found, out: undefined, fails: undefined };
  const finding = lastOf(world, watched.findings, answer);
  const told = watched.sights.flatMap(({ field, kept }) => {
    const value = found.get(kept);
    return value === undefined ? [] : [[field.name, value] as const];
  });
  if (told.length === 0) return undefined;
  return {
    told: Object.fromEntries(told),
    answer: finding && acted.end === 'held' ? { finding, value: found.get(finding.kept) ?? 0 } : undefined,
    lines: sumOf(world, watched.findings),
    sights: watched.sights,
  };
};

/** Values to try a pattern with: what is seen in a world by chance; for an indifferent card one that it does not name. */
const exampleOf = (asked: Asked, pack: Pick<PatternPack, 'home' | 'now'>): Values => {
  const told = drawWorld(asked, pack, seededRng(5))?.told ?? {};
  const named = cardsNamed(onPack(asked.procedure, pack.home, pack.now).procedure);
  const other = pack.now.find((card) => !named.has(card));
  const shown = Object.entries(told).map(([name, value]) => [name, value === INDIFFERENT ? other : value]);
  return Object.fromEntries(shown.filter(([, value]) => value !== undefined)) as Values;
};

/**
 * All answers that fit what was told, as they are said.
 *
 * @returns undefined where there is too much to try at once.
 */
export const answersTo = (
  asked: Asked,
  told: Values,
  { home, now }: Pick<PatternPack, 'home' | 'now'>,
): ReadonlySet<string> | undefined => {
  const watched = watchedOn({ ...asked, told, home, now });
  const { worlds, isWhole } = finish(fitting(watched, told, AT_HAND));
  return isWhole
    ? new Set(worlds.map((world) => answerOf(world, watched.findings, asked.answer)))
    : undefined;
};

/** What is asked beside the page, where it is too much for the page itself; else undefined. */
const besideThePage = (args: SentArgs): SentArgs | undefined =>
  finish(fitting(watchedOn(args), args.told, AT_HAND)).isWhole ? undefined : args;

/**
 * A procedure as a pattern of Reckon: what its performer sees and is told are the fields, what they work out is the
 * sum in the head, and what they find is the answer: in all worlds that fit what was seen, on the pack in hand.
 *
 * @param asked with a procedure that `readProcedure` found right. @param path the pattern's address.
 */
export const patternOf = (asked: Asked, path: string): Outcome<{ readonly pattern: Pattern }> => {
  const { procedure } = asked;
  const problem = whyNoPattern(procedure);
  if (problem) return { ok: false, problems: [problem] };
  const { sights } = instrument(procedure);
  return {
    ok: true,
    pattern: {
      path,
      lead: procedure['set-up'] ?? procedure.note ?? procedure.name,
      fields: sights.map(({ field }) => field),
      example: (pack) => exampleOf(asked, pack),
      beside: (values, { home, now }) => besideThePage({ ...asked, told: values, home, now }),
      reckon: (values, { home, now }) => runJob(SENT_PATTERN, { ...asked, told: values, home, now }),
    },
  };
};
