import { Job, JobRule, runJob } from '../job/job';
import { Machine } from '../procedure/machine';
import { Procedure } from '../procedure/procedure';
import { compileStepwise } from '../procedure/compile';
import { FACE_UP } from '../procedure/run';
import { MOST_CARDS } from '../procedure/packets';
import { actOut, Scene } from './actOut';
import { hasChance } from './prove';
import { secretWays } from './secretWays';

export interface KnowingArgs {
  readonly procedure: Procedure;
  /** What is chosen in the world that is acted out. */
  readonly chosen: readonly number[];
  /** How many steps may be done. */
  readonly budget?: number;
  /** From how many times on a choice is compared with the worlds that it met before. */
  readonly often?: number;
}

/** By scene, packet and place from the top: whether the performer can know which card lies there. */
export type Knowing = readonly (readonly (readonly boolean[])[])[];

/** So many steps are done before it is told that it goes on. */
const AT_ONCE = 50_000;
const BUDGET = 4_000_000;
/** From how many times on a choice is compared with the worlds that it met before. */
const OFTEN = 64;

const NONE: readonly Moment[] = [];

/** A moment of the acted world as other worlds are compared with it. */
interface Moment {
  readonly sights: readonly number[];
  readonly scene: Scene;
  /** By packet: the places at which the same card has lain in every world so far. */
  readonly same: readonly number[][];
}

/**
 * What the performer can know of the table at each scene, as a job: among all worlds that come to this point with the
 * same sights, and the same rounds of what the performer repeats, the same card lies there. Inside a way that was chosen in
 * secret the worlds in its other ways are among them, wherever they are in these.
 *
 * @returns undefined where it is not known: by chance nothing can be told, and there may be too many worlds.
 */
export const KNOWING: JobRule<KnowingArgs, number, Knowing | undefined> = {
  *start({ procedure, chosen, budget = BUDGET, often = OFTEN }): Job<number, Knowing | undefined> {
    if (hasChance(procedure)) return undefined;
    const program = compileStepwise(procedure);
    const watched = [...program.sights, ...program.rounds];
    const moments = actOut(procedure, chosen).scenes.map((scene): Moment => ({
      scene,
      sights: watched.map((index) => scene.values[index]),
      same: scene.packets.map(({ cards }) => [...cards.keys()]),
    }));
    // By instruction: the moments there, by a number made of what was seen at them.
    const at = new Map<number, Map<number, Moment[]>>();
    const secret = secretWays(procedure, program);
    for (const moment of moments)
      for (const where of secret.get(moment.scene.at) ?? [moment.scene.at]) {
        const there = at.get(where) ?? new Map<number, Moment[]>();
        at.set(where, there);
        const key = sightsKey(moment.sights);
        there.set(key, [...(there.get(key) ?? []), moment]);
      }
    // Sights and rounds are among what is compared: worlds that are alike at a choice look alike from there on.
    const machine = new Machine(program, { sights: true, often });
    const cards = new Uint8Array(MOST_CARDS);
    const seen = watched.map(() => 0);
    for (let done = false; !done;) {
      const there = at.get(machine.here);
      if (there && there.size > 0) {
        for (let which = 0; which < watched.length; which++) seen[which] = machine.values[watched[which]];
        const key = sightsKey(seen);
        const here = there.get(key) ?? NONE;
        for (const moment of here)
          if (isSeenSo(machine, watched, moment) && !compare(machine, moment, cards)) {
            const open = here.filter(isOpen);
            if (open.length > 0) there.set(key, open);
            else there.delete(key);
          }
      }
      done = machine.run(machine.steps + 1);
      if (machine.full || machine.steps >= budget) return undefined;
      if (machine.steps % AT_ONCE === 0) yield machine.progress;
    }
    return moments.map(knownAt);
  },
};

/** A number made of what was seen (FNV-1a, by 32 bits). */
const sightsKey = (sights: readonly number[]): number => {
  let key = 0x811c9dc5;
  for (const sight of sights) key = Math.imul(key ^ sight, 0x01000193);
  return key;
};

/** Whether what was seen in a world by now is what was seen at a moment of the acted one. */
const isSeenSo = ({ values }: Machine, watched: readonly number[], { sights }: Moment): boolean => {
  for (let which = 0; which < watched.length; which++)
    if (values[watched[which]] !== sights[which]) return false;
  return true;
};

/** Whether there is a place of which it may still turn out that another card lies there. */
const isOpen = ({ same }: Moment): boolean => same.some((places) => places.length > 0);

/**
 * Leaves the places at which the same card lies as in the world that is acted out.
 *
 * @returns whether there are any.
 */
const compare = ({ table }: Machine, moment: Moment, cards: Uint8Array): boolean => {
  const { scene, same } = moment;
  for (let packet = 0; packet < same.length; packet++) {
    const places = same[packet];
    if (places.length === 0) continue;
    const count = table.write(packet, cards, 0);
    const acted = scene.packets[packet].cards;
    let left = 0;
    for (const place of places)
      if (place < count && table.surely(cards[place] & (FACE_UP - 1)) === acted[place].card)
        places[left++] = place;
    places.length = left;
  }
  return isOpen(moment);
};

const knownAt = ({ scene, same }: Moment): boolean[][] =>
  scene.packets.map(({ cards }, packet) => {
    const known = cards.map(() => false);
    for (const place of same[packet]) known[place] = true;
    return known;
  });

/** What the performer can know in a world, as far as the budget goes. */
export const knowing = (args: KnowingArgs): Knowing | undefined => runJob(KNOWING, args);
