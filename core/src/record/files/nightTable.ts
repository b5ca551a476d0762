import { formatCard } from '../../deck/notation';
import { Night } from '../night';
import { WasChosen } from '../../perform/cue/done';
import { WallClock } from './wallClock';

/** What a column of a table may hold; `choice` is one choice each, called as the column is. */
export const TABLE_FIELDS = [
  ...([
    'id',
    'changed',
    'date',
    'time',
    'kind',
    'set',
    'place',
    'audience',
    'people',
    'minutes',
    'note',
  ] as const),
  ...(['routine', 'ended', 'why', 'out', 'wrong', 'choices', 'slips'] as const),
] as const;
export type TableField = (typeof TABLE_FIELDS)[number];

const two = (value: number): string => value.toString().padStart(2, '0');

const kindOf = ({ real, practice }: Night): string => (practice ? 'practice' : real ? 'show' : 'run-through');

/** What stands between two choices, and what cuts a choice in parts, may stand in no part. */
const bare = (text: string): string => text.replace(/[;=\s]+/g, ' ').trim();

/** A choice as it stands in a cell: `lifted=21 “Lift about half.”` */
export const cellOf = ({ name, value, sort, words = '', said, seen }: WasChosen): string => {
  const shown = sort === 'card' ? formatCard(value) : sort === undefined ? value.toString() : bare(words);
  return `${seen ? 'seen ' : ''}${bare(name)}=${shown}${said === undefined ? '' : ` “${bare(said)}”`}`;
};

/** Nights as a table: a row each routine, the night’s own cells in every row. A night without routines has one row. */
export const nightCells = (nights: readonly Night[], clock: WallClock): readonly (readonly string[])[] => [
  TABLE_FIELDS,
  ...nights
    .filter(({ removed }) => !removed)
    .flatMap((night) => {
      const { id, changed = night.at, at, name, place = '', audience, size, seconds, note = '' } = night;
      const [year, month, day, hours, minutes, wallSeconds] = clock.shows(at);
      const head = [
        ...[id, changed.toString()],
        [year.toString().padStart(4, '0'), two(month), two(day)].join('-'),
        [two(hours), two(minutes), two(wallSeconds)].join(':'),
        ...[kindOf(night), name, place, audience, size?.toString() ?? ''],
        ...[seconds === undefined ? '' : (seconds / 60).toFixed(2).replace(/\.?0+$/, ''), note],
      ];
      const rows = night.done.map(
        ({ name: routine, how, why = '', out = '', wrong = '', choices, slips = [] }) => [
          ...[...head, routine, how, why, out, wrong],
          ...[choices.map(cellOf).join('; '), slips.join('; ')],
        ],
      );
      return rows.length > 0 ? rows : [[...head, '', '', '', '', '', '', '']];
    }),
];
