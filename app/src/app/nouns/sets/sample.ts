import { newRoutine, newSet, Routine, RoutinePack } from '@enumeron/core/file/perform/routine';
import { PackState } from '@enumeron/core/file/perform/state';
import { Scripts } from '../../platform/scripts';
import { Kind } from '../../storage/kind';
import { SampleRoom } from '../../storage/sample-room';
import { sampleOf, Samples } from '../../storage/samples';
import { TIDEMARK } from '../orders/tidemark';
import { PROCEDURES } from '../procedures/procedures.kind';
import { makeSamples as makeProcedures } from '../procedures/sample';
import { RoutineRow, ROUTINES } from './routines.kind';
import { SetRow, SETS } from './sets.kind';

/** The kinds of which the sample of this room has rows of its own. */
export const SAMPLE_KINDS: readonly Kind[] = [ROUTINES, SETS];

const ORDER = { name: TIDEMARK.name, cards: TIDEMARK.cards };
const home = (more: Partial<Extract<PackState, { lies: 'home' }>> = {}): PackState => ({
  ...{ lies: 'home', turn: 0, packets: [], out: [], extra: 0 },
  ...more,
});
const blue = (pack: RoutinePack): Routine['packs'] => ({ blue: { order: ORDER, ...pack } });
const worked = (packet: string): Routine['packs'] => blue({ packet });

/** A routine of the late set. */
interface SampleRoutine extends Partial<Routine> {
  readonly id: string;
  readonly name: string;
  /** The worked procedure that it is. */
  readonly procedure?: string;
}

const ROUTINE_ROWS: readonly SampleRoutine[] = [
  {
    ...{ id: 'number', name: 'A card at a number', minutes: 5, value: 3, packs: worked('pack') },
    procedure: 'Key card, called list and their number',
    says: [
      { to: '', words: 'You have all day to look at the sea. What number comes to mind?' },
      { to: 'the back room', words: 'Just a number. The first one.' },
    ],
    ...{ outs: 'They change their mind: take the second number as a wish.', repeats: true },
  },
  {
    ...{ id: 'two-cuts', name: 'Two cuts, one difference', minutes: 6, value: 3, packs: worked('pack') },
    procedure: 'Two cuts and a packet of numbers',
    ...{ props: 'a packet of numbers 6 to 27, on the tray', setUp: 'before' },
    clearUp: 'The packet that was turned over goes back.',
  },
  {
    ...{ id: 'harbour', name: 'The harbour count', minutes: 4, value: 2 },
    packs: blue({ needs: { kind: 'home', turns: [0] }, leaves: [home()] }),
    notes: 'They count off the boats aloud; the pack comes back as it was.',
    clean: true,
  },
  {
    ...{ id: 'pocket', name: 'In the pocket', minutes: 3, value: 2 },
    packs: blue({
      needs: { kind: 'home', turns: 'any', known: true },
      leaves: [
        home({
          turn: { plus: 0 },
          out: [{ where: 'pocket', count: 1, most: 1, cards: { seen: [] } }],
        }),
      ],
    }),
    clearUp: 'The card from the pocket, before the bow.',
  },
  {
    ...{ id: 'aside', name: 'Twelve aside', minutes: 5, value: 2, packs: worked('pack') },
    procedure: 'Turned over twice, deeper',
    says: [{ to: '', words: 'Deeper than the first time, please.' }],
  },
  {
    ...{ id: 'counted', name: 'Counted in silence', minutes: 4, value: 2 },
    procedure: 'A packet counted in silence',
    packs: {
      red: { packet: 'pack', leaves: [{ lies: 'lost', faceUp: false, out: [], extra: 0 }] },
    },
    ...{ setUp: 'before', cautions: ['touches a helper'], notes: 'Their hand lies on the packet.' },
  },
  {
    ...{ id: 'till', name: 'The letter in the till', minutes: 4, value: 3 },
    ...{ props: 'a sealed letter, the key of the till', setUp: 'before', cautions: ['borrowed'] },
    notes: 'The key is borrowed at the bar, before the doors open.',
    clean: true,
  },
  {
    ...{ id: 'made-of-two', name: 'A card made of two', minutes: 5, value: 1, packs: worked('pack') },
    procedure: 'A card made of two',
  },
];

const idOf = (id: string): string => `sample-routine-${id}`;

/** The late set of seven routines: one junction to mend, and an interval. */
const lateSet = (): SetRow => {
  const order = ['number', 'two-cuts', 'harbour', 'pocket', 'made-of-two', 'counted', 'till'].map(idOf);
  return {
    ...{ id: 'sample-late-set', at: 1, sample: true },
    set: {
      ...newSet('Friday, the late set'),
      ...{ order, closer: order[6], interval: 4, intervalMinutes: 15, minutes: 45 },
      apart: [[order[1], order[4]]],
    },
  };
};

/** Routines and a set of the Salt Room, with the worked procedures that they are, where those are not there yet. */
export const makeSamples = async (scripts: Scripts): Promise<Samples> => {
  const [procedures] = await makeProcedures(scripts);
  const rows = procedures.rows as readonly { readonly id: string; readonly procedure: { name: string } }[];
  const named = (name: string) => rows.find(({ procedure }) => procedure.name === name);
  const used = ROUTINE_ROWS.flatMap(({ procedure }) => (procedure === undefined ? [] : [named(procedure)]));
  return [
    sampleOf(
      PROCEDURES,
      used.flatMap((row) => (row ? [row as never] : [])),
    ),
    sampleOf(
      ROUTINES,
      ROUTINE_ROWS.map(({ id, procedure, ...routine }, index): RoutineRow => {
        const row = procedure === undefined ? undefined : named(procedure);
        return {
          ...{ id: idOf(id), routine: { ...newRoutine(routine.name), ...routine }, at: index + 1 },
          ...(row && { procedure: row.id }),
          sample: true,
        };
      }),
    ),
    sampleOf(SETS, [lateSet()]),
  ];
};

/** The room that the sample belongs to; Record's nights are of its routines, and lay it out as well. */
const ROOM = 'perform';

/** Lays the sample out, unless that was done before. Where it cannot be, the room is empty, and works. */
export const laySetsOut = (room: SampleRoom, scripts: Scripts): Promise<void> =>
  room
    .layOut(ROOM, [...SAMPLE_KINDS, PROCEDURES], () => makeSamples(scripts))
    .catch((error: unknown) => console.warn(error));
