import { randomInt, Rng, seededRng } from '@enumeron/core/deck';
import type { Night } from '@enumeron/core/file/record/night';
import type { RoutineDone, RoutineEnding, WasChosen } from '@enumeron/core/file/perform/cue/done';
import { sampleOf, Samples } from '../../storage/samples';
import { PERFORMANCES } from './performances.kind';

const DAY = 86_400_000;

/** About a number, as a bell within a spread; from least to most. */
const about = (rng: Rng, middle: number, spread: number, least: number, most: number): number => {
  const bell = Array.from({ length: 6 }, () => rng()).reduce((sum, each) => sum + each, -3) * Math.SQRT2;
  return Math.max(least, Math.min(most, Math.round(middle + spread * bell)));
};

const cut = (
  name: string,
  path: string,
  value: number,
  said: string,
  from: number,
  to: number,
): WasChosen => ({
  ...{ path, name, value, from, to },
  ...(said !== '' && { said }),
});

const routine = (id: string, name: string, choices: readonly WasChosen[]): RoutineDone => ({
  ...{ id: `sample-routine-${id}`, name, how: 'hit', choices, steps: [], mends: [] },
});

/** They lift less than half: that is what this record shows. */
const counted = (rng: Rng): RoutineDone => {
  const lifted = about(rng, 21, 4, 8, 40);
  const done = routine('counted', 'Counted in silence', [
    cut('lifted', '1', lifted, 'Lift about half.', 1, 51),
  ]);
  return lifted >= 19 && lifted <= 31
    ? done
    : { ...done, how: 'out', out: 'The count itself.', why: `they lifted ${lifted.toString()}` };
};

/** Numbers that come to mind more often than others, the first one most. */
const FAVOURITES = [27, 27, 27, 17, 37];

const atNumber = (rng: Rng): RoutineDone => {
  const number = rng() < 0.65 ? FAVOURITES[randomInt(rng, FAVOURITES.length)] : 1 + randomInt(rng, 52);
  const said = 'Name a number up to fifty-two.';
  return routine('number', 'A card at a number', [
    cut('lifted', '2', about(rng, 24, 6, 5, 47), '', 5, 47),
    { ...cut('number', '8', number, said, 1, 52), named: true },
    { path: '', name: 'card called', value: randomInt(rng, 52), sort: 'card', named: true },
  ]);
};

const twoCuts = (rng: Rng): RoutineDone => {
  const first = about(rng, 12, 3, 3, 30);
  return routine('two-cuts', 'Two cuts, one difference', [
    cut('first cut', '1', first, 'Cut off a small packet and turn it over.', 1, 50),
    cut('second cut', '', about(rng, 29, 5, first + 1, 51), 'Now cut deeper, and turn that over too.', 2, 51),
  ]);
};

const madeOfTwo = (rng: Rng): RoutineDone => {
  const value = rng() < 0.7 ? 1 : 2;
  return routine('made-of-two', 'A card made of two', [
    cut('cut', '1', about(rng, 24, 7, 2, 50), 'Cut, and complete the cut.', 1, 52),
    {
      ...{ path: '8', name: 'way', value, sort: 'way', named: true, from: 1, to: 2 },
      said: 'Take the rank of the one and the suit of the other.',
      words: value === 1 ? 'The rank of the first card.' : 'The rank of the second card.',
    },
  ]);
};

const plain = (id: string, name: string) => (): RoutineDone => routine(id, name, []);

/** What the late set is made of; at the tables “counted in silence” is done several times. */
const SET: readonly ((rng: Rng) => RoutineDone)[] = [
  atNumber,
  twoCuts,
  plain('harbour', 'The harbour count'),
  plain('pocket', 'In the pocket'),
  madeOfTwo,
  ...[counted, counted, counted, counted],
  plain('till', 'The letter in the till'),
];

/** What went otherwise on a night: by the routine’s place, how it ended, and what is told of it. */
interface Trouble {
  readonly at: number;
  readonly how: RoutineEnding;
  readonly more?: Partial<RoutineDone>;
}

interface SampleNight {
  /** How many days before the last night. */
  readonly days: number;
  readonly place: string;
  readonly name: string;
  readonly audience?: string;
  readonly size: number;
  readonly minutes: number;
  readonly note?: string;
  readonly troubles?: readonly Trouble[];
  readonly only?: readonly number[];
}

const LATE = { place: 'Salt Room', name: 'Friday, the late set' };
const slip = (sum: string): Partial<RoutineDone> => ({ slips: [sum] });

const NIGHTS: readonly SampleNight[] = [
  { days: 0, ...LATE, size: 38, minutes: 44 },
  {
    ...{
      days: 7,
      ...LATE,
      size: 41,
      minutes: 47,
      note: 'Loud table at the bar. Begin with the number there.',
    },
    troubles: [{ at: 1, how: 'out', more: { why: 'the cuts were too near each other' } }],
  },
  {
    ...{ days: 14, place: 'Boathouse', name: 'Boathouse, an hour', audience: 'the back room' },
    ...{ size: 24, minutes: 52, note: 'The light is behind me: turn the table.' },
  },
  {
    ...{ days: 21, ...LATE, size: 35, minutes: 43 },
    troubles: [
      {
        ...{ at: 0, how: 'missed' },
        more: { why: 'cut one too deep', wrong: 'said it was theirs', ...slip('place after a cut') },
      },
      { at: 7, how: 'missed', more: { why: 'lost the count at 31' } },
    ],
  },
  { days: 28, ...LATE, size: 40, minutes: 45, note: 'The clear-up took too long.' },
  {
    ...{ days: 35, place: 'Net loft', name: 'Net loft, private', audience: 'the back room' },
    ...{ size: 9, minutes: 31, only: [0, 1, 4, 5] },
  },
  {
    ...{ days: 42, ...LATE, size: 44, minutes: 46 },
    troubles: [{ at: 3, how: 'missed', more: { why: 'the wrong mate', ...slip('place of the mate') } }],
  },
  { days: 49, ...LATE, size: 37, minutes: 45 },
  {
    ...{ days: 56, ...LATE, size: 33, minutes: 48 },
    troubles: [{ at: 9, how: 'stopped', more: { why: 'the key was not borrowed' } }],
  },
  { days: 63, ...LATE, size: 29, minutes: 50, note: 'First night with the packet of numbers.' },
  {
    ...{ days: 70, ...LATE, size: 30, minutes: 51 },
    troubles: [{ at: 1, how: 'out', more: { why: 'the second cut was too deep' } }],
  },
];

/** The Friday before a moment, at half past nine in the evening where the user is. */
const lastFriday = (now: number): number => {
  const date = new Date(now - DAY);
  date.setDate(date.getDate() - ((date.getDay() + 2) % 7));
  date.setHours(21, 30, 0, 0);
  return date.getTime();
};

/** So many days earlier, at the same time of day. */
const before = (at: number, days: number): number => {
  const date = new Date(at);
  date.setDate(date.getDate() - days);
  return date.getTime();
};

const MENDS = [6.2, 9.5, 7.1, 12.4, 8.3];

const nightOf = (sample: SampleNight, index: number, last: number): Night => {
  const { days, minutes, troubles = [], audience = '', only, ...head } = sample;
  const rng = seededRng(400 + index);
  const all = SET.map((make) => make(rng)).map((done, place): RoutineDone => {
    const trouble = troubles.find(({ at }) => at === place);
    const mended: RoutineDone =
      place === 2
        ? {
            ...done,
            mends: [
              {
                ...{ what: 'Cut the pack back', seconds: MENDS[index % MENDS.length] },
                acts: [{ act: 'cut' }],
              },
            ],
          }
        : done;
    return trouble ? { ...mended, how: trouble.how, ...trouble.more } : mended;
  });
  const at = before(last, days);
  return {
    ...{ id: `sample-night-${(index + 1).toString()}`, at, changed: at, real: true, audience, ...head },
    ...(head.place === 'Salt Room' && { set: 'sample-late-set' }),
    ...{ done: only ? only.map((place) => all[place]) : all, seconds: minutes * 60, sample: true },
  };
};

/** Trials with a friend, one evening at the kitchen table. */
const practice = (last: number): Night => {
  const rng = seededRng(77);
  const at = before(last, 3);
  return {
    ...{ id: 'sample-night-practice', at, changed: at, real: false, practice: true, sample: true },
    ...{
      name: 'Two wordings',
      place: 'kitchen table',
      audience: '',
      note: 'The second wording brings them deeper.',
    },
    done: Array.from({ length: 24 }, (_, index) => {
      const said = index % 2 === 0 ? 'Lift about half.' : 'Cut deep, right into the middle.';
      return routine('counted', 'Counted in silence', [
        cut('lifted', '1', about(rng, index % 2 === 0 ? 21 : 26, 4, 5, 45), said, 1, 51),
      ]);
    }),
  };
};

/** Eleven nights of the Salt Room and one of practice, the last on the Friday before `now`. */
export const makeSamples = (now: number): Samples => {
  const last = lastFriday(now);
  return [
    sampleOf(PERFORMANCES, [...NIGHTS.map((night, index) => nightOf(night, index, last)), practice(last)]),
  ];
};
