import { expose } from 'comlink';
import { Card } from '@enumeron/core/deck';
import { Fact, findPossible, Possible } from '@enumeron/core/reckon/facts';

const deduceWorker = {
  findPossible: (now: readonly Card[], facts: readonly Fact[]): Possible | undefined =>
    findPossible(now, facts),
};

export type DeduceWorker = typeof deduceWorker;

expose(deduceWorker);
