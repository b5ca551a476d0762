import { Followed } from './followed';
import { Answer, Fit, Moment, Search, Waits } from './search';

export interface Fits {
  readonly fits: readonly Fit[];
  /** False where there was no time to look at all worlds, or there are too many that fit. */
  readonly isWhole: boolean;
  /** By value of a name: whether it is not the same in all that fits. */
  readonly open: ReadonlySet<number>;
  /** What was done since the last answer, in the first world that fits. */
  readonly moments: readonly Moment[];
  /** How the worlds that fit can still end, where none of them can hold; undefined where one can, or it is not known. */
  readonly lost: { readonly path: string; readonly how: 'outs' | 'failed' } | undefined;
}

/** So many steps are done for one answer, and for the question whether anything can still hold. */
const BUDGET = 60_000;
const AHEAD = 20_000;
/** More worlds than these are not told apart. */
const MOST_FITS = 60;

/** A way in which a pack may have lain when the procedure began: the procedure so laid, and the turn. */
export interface Start {
  readonly followed: Followed;
  readonly turn: number;
  /** Whether it is known that it lay so, or in one of the other ways; else it is only taken to. */
  readonly isSure: boolean;
}

/**
 * The worlds of a procedure that fit what was told so far.
 *
 * @param starts the ways in which its packs may have lain. @param answers what was told, in the order in which it was.
 */
export const fitting = (starts: readonly Start[], answers: readonly Answer[]): Fits => {
  // What chance can bring is too much to go through.
  const isOpen = starts.some(({ followed, isSure }) => followed.isByChance || !isSure);
  const found = isOpen ? NOTHING : fittingAll(starts, answers);
  if (found.fits.length > 0 || found.isWhole) {
    const lost = found.fits.length > 0 ? lostIn(starts, answers) : undefined;
    return { ...found, lost };
  }
  for (const { followed, turn } of starts) {
    const search = new Search(followed, answers, turn, 'forced');
    search.run(BUDGET, 1);
    if (search.fits.length > 0)
      return {
        ...{ fits: search.fits, isWhole: false, lost: undefined, open: search.open },
        moments: search.moments.map((moment) => ({ ...moment, isCertain: false })),
      };
  }
  return { ...NOTHING, lost: undefined };
};

const NOTHING = { fits: [], isWhole: false, moments: [], open: new Set<number>() } as const;

const fittingAll = (starts: readonly Start[], answers: readonly Answer[]): Omit<Fits, 'lost'> => {
  const fits: Fit[] = [];
  let [isWhole, left] = [true, BUDGET];
  let moments: readonly Moment[] = [];
  const open = new Set<number>();
  let first: readonly number[] | undefined;
  for (const { followed, turn } of starts) {
    const search = new Search(followed, answers, turn, 'told');
    if (!search.run(left, MOST_FITS - fits.length)) isWhole = false;
    left -= search.steps;
    if (fits.length === 0) moments = search.moments;
    else if (search.fits.length > 0) moments = alsoIn(moments, search.moments);
    search.open.forEach((index) => open.add(index));
    if (search.fits.length > 0) {
      first?.forEach((value, index) => {
        if (search.valuesFirst[index] !== value) open.add(index);
      });
      first ??= search.valuesFirst;
    }
    fits.push(...search.fits);
    if (left <= 0 || fits.length >= MOST_FITS) {
      isWhole = false;
      break;
    }
  }
  // Of what is not looked at to its end nothing is sure.
  const sure = isWhole ? moments : moments.map((moment) => ({ ...moment, isCertain: false }));
  return { fits, isWhole, moments: sure, open };
};

/** The moments of one start, where those of another are to fit as well: what both know. */
const alsoIn = (moments: readonly Moment[], others: readonly Moment[]): readonly Moment[] =>
  moments.map((moment) => {
    const isDone = moment.isDone && others.some(({ path, isDone: done }) => path === moment.path && done);
    return { ...moment, isDone, isCertain: false };
  });

/** How all worlds that fit end, where none of them holds. */
const lostIn = (starts: readonly Start[], answers: readonly Answer[]): Fits['lost'] => {
  const ends: Extract<Waits, { kind: 'end' }>[] = [];
  let left = AHEAD;
  for (const { followed, turn } of starts) {
    const search = new Search(followed, answers, turn, 'ahead');
    if (!search.run(left, Infinity) || search.holds) return undefined;
    left -= search.steps;
    ends.push(...search.ends);
  }
  const end = ends.find(({ how }) => how === 'outs') ?? ends.at(0);
  return end?.how === 'outs' || end?.how === 'failed' ? { path: end.path, how: end.how } : undefined;
};
