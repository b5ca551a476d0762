import { expose } from 'comlink';
import { Estimate } from '@enumeron/core/odds';
import { Card, seededRng } from '@enumeron/core/deck';
import { keyCardCounter } from '@enumeron/core/reckon/patterns';

/** How many packs are riffled between two reports. */
const SLICE = 4000;

const keyCardWorker = {
  try(
    now: readonly Card[],
    bank: readonly Card[],
    key: Card,
    riffles: number,
    packs: number,
    seed: number,
    report: (estimates: readonly Estimate[]) => void,
  ): readonly Estimate[] {
    const counter = keyCardCounter(now, bank, key, riffles, seededRng(seed));
    for (let done = 0; counter && done < packs; done += SLICE) {
      counter.run(Math.min(SLICE, packs - done));
      report(counter.read());
    }
    return counter?.read() ?? [];
  },
};

export type KeyCardWorker = typeof keyCardWorker;

expose(keyCardWorker);
