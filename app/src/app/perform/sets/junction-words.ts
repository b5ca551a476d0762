import { JunctionMend, RIGHTED } from '@enumeron/core/file/perform/junction';
import { JunctionAlong, PackAlong } from '@enumeron/core/file/perform/along';
import { NamedHome, sayMend, sayState, whyNoMend } from '@enumeron/core/file/perform/say';
import { PackState } from '@enumeron/core/file/perform/state';

/** What is done at a junction in one of the states that a pack may be in. */
export interface StateWords {
  readonly state: string;
  readonly acts: readonly string[];
  readonly seconds: number;
}

/** One pack at a junction, in words. */
export interface PackWords {
  readonly pack: string;
  readonly home: NamedHome;
  readonly how: 'fits' | 'mend' | 'cannot';
  /** Whether it was not used yet. */
  readonly isNew: boolean;
  /** What to do, act by act; where it may lie in several ways, in the dearest of them. */
  readonly acts: readonly string[];
  readonly why: string;
  readonly seconds: number;
  readonly outOfSight: boolean;
  readonly inInterval: boolean;
  /** What could be done instead. */
  readonly others: readonly string[];
  /** How it lies there, and every way in which it may. */
  readonly lies: PackState;
  readonly states: readonly StateWords[];
}

/** A junction in words. */
export interface JunctionWords {
  readonly before: string;
  readonly interval: boolean;
  readonly packs: readonly PackWords[];
}

const HOW_WORDS: Readonly<Record<JunctionMend['how'], string>> = {
  ...{ mend: 'Mend the pack itself', change: 'Change it for a spare pack, if one lies ready' },
  ...{ right: 'Right it', 'lay anew': 'Lay it anew' },
};

const packWords = (along: PackAlong, home: NamedHome): PackWords => {
  const { pack, need, before, mends, each } = along;
  const right = mends.some(({ how }) => how === 'right');
  const towards = right && !mends.some(({ how }) => how === 'mend') ? RIGHTED : (need ?? RIGHTED);
  const states = each.map(({ state, parts, seconds }): StateWords => ({
    ...{ state: sayState(state, home), seconds },
    acts: sayMend(parts ?? [], state, towards, home),
  }));
  const dearest = [...states].sort((a, b) => b.seconds - a.seconds).at(0);
  const cannot = mends.find(({ price }) => price[0] > 0);
  const stuck = each.find(({ parts }) => !parts);
  const flat = mends.flatMap(({ how }) =>
    how === 'change' ? ['Change the pack for a spare one'] : how === 'lay anew' ? ['Lay the pack anew'] : [],
  );
  return {
    others: along.others.map(
      ({ how, price }) =>
        `${HOW_WORDS[how]}: ${sayTime(price[2])}, ${price[1] > 0 ? 'out of sight' : how === 'lay anew' ? 'in the interval' : 'in view'}`,
    ),
    ...{ pack, home, states: states.length > 1 ? states : [], isNew: before[0].lies === 'ready' },
    how: cannot ? 'cannot' : mends.length > 0 ? 'mend' : 'fits',
    acts: flat.length > 0 ? flat : (dearest?.acts ?? []),
    why: cannot && stuck && need ? whyNoMend(stuck.state, need, home) : '',
    seconds: mends.reduce((sum, { price }) => sum + price[2], 0),
    outOfSight: mends.some(({ price }) => price[1] > 0),
    inInterval: mends.length > 0 && mends.every(({ inInterval }) => inInterval),
    lies: (mends.length > 0 ? before : along.ready)[0],
  };
};

/** Every junction in words. @param homeOf the order of a pack. */
export const junctionWords = (
  junctions: readonly JunctionAlong[],
  homeOf: (pack: string) => NamedHome | undefined,
): readonly JunctionWords[] =>
  junctions.map(({ before, interval, packs }) => ({
    ...{ before, interval },
    packs: packs.flatMap((each) => {
      const home = homeOf(each.pack);
      return home ? [packWords(each, home)] : [];
    }),
  }));

/** How every pack lies when the set is over. */
export const afterwards = (
  junctions: readonly JunctionAlong[],
  homeOf: (pack: string) => NamedHome | undefined,
): readonly {
  readonly pack: string;
  readonly home: NamedHome;
  readonly lies: PackState;
  readonly says: string;
}[] => {
  const last = new Map(
    junctions.flatMap(({ packs }) => packs.map(({ pack, after }) => [pack, after] as const)),
  );
  return [...last].flatMap(([pack, states]) => {
    const home = homeOf(pack);
    return home
      ? [{ pack, home, lies: states[0], says: states.map((state) => sayState(state, home)).join(' · or ') }]
      : [];
  });
};

const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten'];
const inWords = (count: number): string => NUMBERS.at(count) ?? count.toString();

/** What a set costs, as one sentence: on stage, and in the interval. */
export const sayCost = (
  { impossible, outOfSight }: { readonly impossible: number; readonly outOfSight: number },
  junctions: readonly JunctionWords[],
): string => {
  if (impossible > 0)
    return impossible === 1
      ? 'One junction can’t be mended'
      : `${inWords(impossible)} junctions can’t be mended`;
  const isMended = (inInterval: boolean) => (pack: PackWords) =>
    pack.how === 'mend' && pack.inInterval === inInterval;
  const secondsOf = (inInterval: boolean): number =>
    junctions
      .flatMap(({ packs }) => packs.filter(isMended(inInterval)))
      .reduce((sum, { seconds }) => sum + seconds, 0);
  const mends = junctions.filter(({ packs }) => packs.some(isMended(false))).length;
  const interval = secondsOf(true) > 0 ? `, ${sayTime(secondsOf(true))} in the interval` : '';
  if (mends === 0) return `Every junction fits${interval}`;
  const hidden = outOfSight === 1 ? 'one act' : `${inWords(outOfSight).toLowerCase()} acts`;
  const sight = outOfSight > 0 ? `${hidden} out of sight` : mends === 1 ? 'in view' : 'all in view';
  return `${inWords(mends)} ${mends === 1 ? 'mend' : 'mends'}, ${sayTime(secondsOf(false))}, ${sight}${interval}`;
};

/** Seconds as people say them. */
export const sayTime = (seconds: number): string => {
  const [minutes, rest] = [Math.floor(seconds / 60), Math.round(seconds % 60)];
  return minutes === 0
    ? `${rest.toString()} s`
    : rest === 0
      ? `${minutes.toString()} min`
      : `${minutes.toString()} min ${rest.toString()} s`;
};
