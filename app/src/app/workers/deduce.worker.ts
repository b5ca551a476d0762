import { expose } from 'comlink';
import { Card, deduce, Deduction, Fact } from '@enumeron/core';

const deduceWorker = {
  deduce: (now: readonly Card[], facts: readonly Fact[]): Deduction | undefined => deduce(now, facts),
};

export type DeduceWorker = typeof deduceWorker;

expose(deduceWorker);
