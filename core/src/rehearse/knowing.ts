import { Job, JobRule, runJob } from '../job/job';
import { Machine } from '../procedure/machine';
import { Procedure } from '../procedure/procedure';
import { compileStepwise } from '../procedure/compile';
import { FACE_UP, MOST_CARDS } from '../procedure/table';
import { actOut, Scene } from './actOut';
import { hasChance } from './prove';

export interface KnowingArgs {
  readonly procedure: Procedure;
  /** What is chosen in the world that is acted out. */
  readonly chosen: readonly number[];
  /** How many steps may be done. */
  readonly budget?: number;
}

/** By scene, packet and place from the top: whether the performer can know which card lies there. */
export type Knowing = readonly (readonly (readonly boolean[])[])[];

/** So many steps are done before it is told that it goes on. */
const AT_ONCE = 50_000;
const BUDGET = 4_000_000;

/** A moment of the acted world as other worlds are compared with it. */
interface Moment {
  readonly sights: readonly number[];
  readonly known: boolean[][];
  readonly scene: Scene;
}

/**
 * What the performer can know of the table at each scene, as a job: among all worlds that come to this point with the
 * same sights, and the same rounds of what the performer repeats, the same card lies there.
 *
 * @returns undefined where it is not known: by chance nothing can be told, and there may be too many worlds.
 */
export const KNOWING: JobRule<KnowingArgs, number, Knowing | undefined> = {
  *start({ procedure, chosen, budget = BUDGET }): Job<number, Knowing | undefined> {
    if (hasChance(procedure)) return undefined;
    const program = compileStepwise(procedure);
    const watched = [...program.sights, ...program.rounds];
    const moments = actOut(procedure, chosen).scenes.map((scene): Moment => ({
      scene,
      sights: watched.map((index) => scene.values[index]),
      known: scene.packets.map(({ cards }) => cards.map(() => true)),
    }));
    const at = new Map<number, Moment[]>();
    for (const moment of moments) at.set(moment.scene.at, [...(at.get(moment.scene.at) ?? []), moment]);
    const machine = new Machine(program, { sights: true, ended: () => undefined });
    const cards = new Uint8Array(MOST_CARDS);
    for (let done = false; !done;) {
      for (const moment of at.get(machine.here) ?? [])
        if (watched.every((index, which) => machine.values[index] === moment.sights[which]))
          compare(machine, moment, cards);
      done = machine.run(machine.steps + 1);
      if (machine.full || machine.steps >= budget) return undefined;
      if (machine.steps % AT_ONCE === 0) yield machine.progress;
    }
    return moments.map(({ known }) => known);
  },
};

/** Notes where another card lies than in the world that is acted out. */
const compare = ({ table }: Machine, { scene, known }: Moment, cards: Uint8Array): void => {
  scene.packets.forEach((packet, index) => {
    const count = table.write(index, cards, 0);
    packet.cards.forEach(({ card }, place) => {
      if (place >= count || (cards[place] & (FACE_UP - 1)) !== card) known[index][place] = false;
    });
  });
};

/** What the performer can know in a world, as far as the budget goes. */
export const knowing = (args: KnowingArgs): Knowing | undefined => runJob(KNOWING, args);
