import { Rng, shuffled } from '../deck/rng';
import { Arrangement } from '../moves/arrangement';
import { arrangeOverhand, CHOP } from '../moves/overhand';
import { arrangeRiffle } from '../moves/riffle';
import { placeUnwoven, placeWoven, WeaveKind } from '../moves/weave';
import { NONE, Slots, World } from './form';
import { MOST_ROUNDS, StepKind } from './procedure';

/** What may stand in a field of a step, beside what may stand in one of an expression. */
interface StepSlots extends Slots {
  /** Packets, none of them twice. */
  packets: readonly number[];
  where: 'on' | 'under';
  weave: WeaveKind;
  name: string;
  steps: unknown;
  options: unknown;
  likely: unknown;
  flag: boolean;
  rounds: number;
  text: string;
}
export type StepSlot = keyof StepSlots;

/** Does something to the table; false where it cannot be done. Chance is drawn from `rng`. */
export type Act = (world: World, rng: Rng) => boolean;

/** A kind of step. To add one that moves cards: a row in `STEPS`. */
export interface StepRule {
  /**
   * How it is said behind who does it: `{field}` stands for what is in it, `{flag|words}` for words where the flag is
   * set; what is between brackets is left out where its field is.
   */
  readonly says: string;
  readonly fields: Readonly<Record<string, StepSlot>>;
  /** Fields that may be left out. */
  readonly more?: Readonly<Record<string, StepSlot>>;
  /** Whether chance enters, so that it is weighed by trying. */
  readonly chance?: true;
  /** Pairs of fields that must not name the same packet. */
  readonly apart?: readonly [string, string];
  /** What it does to the table; steps without it choose, look, tell or branch. */
  act?(parts: Readonly<Record<string, never>>): Act;
}

type PartsOf<Fields> = {
  readonly [Field in keyof Fields]: Fields[Field] extends StepSlot ? StepSlots[Fields[Field]] : never;
};

/** A step that does something to the table. */
const moves = <
  Fields extends Readonly<Record<string, StepSlot>>,
  More extends Readonly<Record<string, StepSlot>>,
>(
  says: string,
  fields: Fields,
  act: (parts: PartsOf<Fields> & Partial<PartsOf<More>>) => Act,
  rest: Pick<StepRule, 'chance' | 'apart'> & { readonly more?: More } = {},
): StepRule =>
  // Who calls it hands over what its fields ask for.
  ({ says, fields, act: act as unknown as StepRule['act'], ...rest });

/** Whether it is done where the fingers know it. */
const FELT = { felt: 'flag' } as const;

/** What a step does that the machine does itself, as an instruction of its own. */
const byMachine = (): Act => () => {
  throw new Error('the machine does this itself');
};

/** A step that lifts or deals. */
const carry = (says: string, more?: typeof FELT): StepRule =>
  moves(says, { count: 'number', from: 'packet', onto: 'packet' }, byMachine, {
    apart: ['from', 'onto'],
    ...(more && { more }),
  });

/** A weave or its reverse. */
const weaving = (
  says: string,
  placeBefore: (place: number, size: number, kind: WeaveKind) => number,
): StepRule =>
  moves(says, { packet: 'packet', kind: 'weave' }, ({ packet, kind }) => ({ table }) => {
    if (table.sizes[packet] < 2) return false;
    table.arrange(packet, (index, size) => placeBefore(index + 1, size, kind) - 1);
    return true;
  });

/** A shuffle by chance of what is not kept at the top and the face; a thorough one stays open where that is wanted. */
const shuffling = (
  says: string,
  arrange: (rng: Rng, size: number) => Arrangement,
  isThorough = false,
): StepRule =>
  moves(
    `${says} {packet}[ {times} times][, keeping {keep top} on top][, keeping {keep face} at the face]`,
    { packet: 'packet' },
    ({ packet, times, 'keep top': top, 'keep face': face }) =>
      (world, rng) => {
        const [rounds, above, below] = [times?.(world) ?? 1, top?.(world) ?? 0, face?.(world) ?? 0];
        const size = world.table.sizes[packet];
        // As with a repeat: what goes on for ever cannot be done.
        if (rounds < 0 || rounds > MOST_ROUNDS || above < 0 || below < 0 || above + below > size)
          return false;
        if (isThorough && world.table.keepsOpen) return world.table.mix(packet, rounds, above, below);
        for (let round = 0; round < rounds; round++) {
          const order = arrange(rng, size - above - below);
          world.table.arrange(packet, (index) =>
            index < above || index >= size - below ? index : above + order[index - above],
          );
        }
        return true;
      },
    {
      ...(!isThorough && { chance: true }),
      more: { times: 'number', 'keep top': 'number', 'keep face': 'number' },
    },
  );

const isPlace = (world: World, packet: number, place: number): boolean =>
  place >= 1 && place <= world.table.sizes[packet];

/** Every kind of step: what belongs to it, and what it does to the table. */
export const STEPS: Readonly<Record<StepKind, StepRule>> = {
  choose: {
    says: 'choose {name}, from {from} to {to}[{uncounted|, uncounted}]',
    fields: { name: 'name', from: 'number', to: 'number' },
    more: { told: 'flag', likely: 'likely', uncounted: 'flag' },
  },
  'choose one': {
    says: 'choose one way: {name}',
    fields: { name: 'name', of: 'options' },
    more: { told: 'flag', likely: 'likely' },
  },
  cut: moves(
    'cut {count} cards of {packet} to its bottom[{felt|, by feel}]',
    { packet: 'packet', count: 'number' },
    byMachine,
    { more: FELT },
  ),
  lift: carry('lift {count} cards from {from} onto {onto}[{felt|, by feel}]', FELT),
  deal: carry('deal {count} cards from {from} onto {onto}'),
  'deal round': moves(
    'deal [{count} cards of ]{from} round onto {onto|, }',
    { from: 'packet', onto: 'packets' },
    ({ from, onto, count }) =>
      (world) => {
        const size = world.table.sizes[from];
        const cards = count ? count(world) : size;
        if (cards < 0 || cards > size) return false;
        world.table.dealRound(from, cards, onto);
        return true;
      },
    { more: { count: 'number' }, apart: ['from', 'onto'] },
  ),
  put: moves(
    'put {packet} {where} {other}[{felt|, by feel}]',
    { packet: 'packet', where: 'where', other: 'packet' },
    byMachine,
    { apart: ['packet', 'other'], more: FELT },
  ),
  turn: moves('turn {packet} over', { packet: 'packet' }, byMachine),
  'turn card': moves(
    'turn the card at {place} of {packet} over',
    { packet: 'packet', place: 'number' },
    ({ packet, place }) =>
      (world) => {
        const at = place(world);
        if (!isPlace(world, packet, at)) return false;
        world.table.turnCard(packet, at);
        return true;
      },
  ),
  take: moves(
    'take[ the card at {place} of][ {card} out of] {from} onto {onto}[{felt|, by feel}]',
    { from: 'packet', onto: 'packet' },
    ({ place, card, from, onto }) =>
      (world) => {
        if (card) {
          const sought = card(world);
          return sought !== NONE && world.table.takeCard(from, sought, onto);
        }
        const at = place?.(world) ?? NONE;
        if (!isPlace(world, from, at)) return false;
        world.table.take(from, at, onto);
        return true;
      },
    { apart: ['from', 'onto'], more: { place: 'number', card: 'card', ...FELT } },
  ),
  insert: moves(
    'put the top card of {packet} into {into}, to lie at {place}[{felt|, by feel}]',
    { packet: 'packet', into: 'packet', place: 'number' },
    ({ packet, into, place }) =>
      (world) => {
        const at = place(world);
        const { sizes } = world.table;
        if (sizes[packet] === 0 || at === NONE || at < 1 || at > sizes[into] + 1) return false;
        world.table.insert(packet, into, at);
        return true;
      },
    { apart: ['packet', 'into'], more: FELT },
  ),
  weave: weaving('weave {packet}, an {kind} weave', placeUnwoven),
  unweave: weaving('take an {kind} weave of {packet} back', placeWoven),
  riffle: shuffling('riffle', arrangeRiffle),
  overhand: shuffling('shuffle overhand', (rng, size) => arrangeOverhand(rng, size, CHOP)),
  mix: shuffling('mix', (rng, size) => shuffled([...Array(size).keys()], rng), true),
  see: { says: 'see {what}, and call it {name}', fields: { what: 'value', name: 'name' } },
  'work out': { says: 'work out {name}: {what}', fields: { name: 'name', what: 'value' } },
  if: { says: 'if {that}', fields: { that: 'condition', then: 'steps' }, more: { otherwise: 'steps' } },
  repeat: {
    says: 'repeat[ {times} times][ while {while}]',
    fields: { steps: 'steps' },
    more: { times: 'number', while: 'condition', most: 'rounds' },
  },
  require: { says: 'they were asked so that {that}', fields: { that: 'condition' }, more: { words: 'text' } },
  claim: { says: 'it must be so that {that}', fields: { that: 'condition' }, more: { words: 'text' } },
  'claim known': { says: 'you must know {what}', fields: { what: 'value' }, more: { words: 'text' } },
  out: { says: 'out: {words}', fields: { words: 'text' }, more: { steps: 'steps' } },
};

/** By kind of step: what came with version 2 of the language, and means nothing in version 1. */
export const LATER: Readonly<Partial<Record<StepKind, readonly string[]>>> = {
  choose: ['uncounted'],
  cut: ['felt'],
  lift: ['felt'],
  put: ['felt'],
  take: ['card', 'felt'],
  insert: ['felt'],
  out: ['steps'],
};

/** By kind of step: its fields, those that may be left out too, and what stands in each. */
export const SLOTS = Object.fromEntries(
  Object.entries(STEPS).map(([kind, { fields, more }]) => [kind, Object.entries({ ...fields, ...more })]),
) as unknown as Readonly<Record<StepKind, readonly (readonly [field: string, slot: StepSlot])[]>>;
