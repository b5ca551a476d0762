import { expose } from 'comlink';
import { Card } from '@enumeron/core/deck';
import { deduce, Deduction, Fact } from '@enumeron/core/reckon/facts';

const deduceWorker = {
  deduce: (now: readonly Card[], facts: readonly Fact[]): Deduction | undefined => deduce(now, facts),
};

export type DeduceWorker = typeof deduceWorker;

expose(deduceWorker);
