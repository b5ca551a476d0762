import { expose } from 'comlink';
import { RouteProgress, searchRoute } from '@enumeron/core/arrange';
import { Card } from '@enumeron/core/deck';
import { Move } from '@enumeron/core/moves';

/** How many steps of the search pass between two reports. */
const STEPS = 8;

const routeWorker = {
  search(
    from: readonly Card[],
    to: readonly Card[],
    report: (progress: RouteProgress) => void,
  ): readonly Move[] | undefined {
    const search = searchRoute(from, to);
    for (let count = 0; ; count++) {
      const step = search.next();
      if (step.done) return step.value;
      if (count % STEPS === 0) report(step.value);
    }
  },
};

export type RouteWorker = typeof routeWorker;

expose(routeWorker);
