import { expose } from 'comlink';
import { spreadCounter, SpreadCounts } from '@enumeron/core/arrange';
import { Card, seededRng } from '@enumeron/core/deck';

/** How many packs are shuffled between two reports. */
const SLICE = 1000;

const spreadWorker = {
  /** Shuffles so many packs of these cards and counts what they show; `report` hears how many are done. */
  count(pack: readonly Card[], packs: number, seed: number, report: (done: number) => void): SpreadCounts {
    const counter = spreadCounter(pack, seededRng(seed));
    for (let done = 0; done < packs; done += SLICE) {
      counter.run(Math.min(SLICE, packs - done));
      report(Math.min(packs, done + SLICE));
    }
    return counter.read();
  },
};

export type SpreadWorker = typeof spreadWorker;

expose(spreadWorker);
