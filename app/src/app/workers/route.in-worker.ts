import { proxy } from 'comlink';
import { inWorker } from './in-worker';
import { RouteState, SearchRoute } from './route';
import type { RouteWorker } from './route.worker';

/** No test imports this file: `import.meta`. */
export const searchRouteInWorker: SearchRoute = (from, to) =>
  inWorker<RouteWorker, RouteState>(
    () => new Worker(new URL('./route.worker', import.meta.url), { type: 'module' }),
    async (remote, report) => {
      const progressed = proxy((progress: Parameters<Parameters<RouteWorker['search']>[2]>[0]) =>
        report({ kind: 'searching', progress }),
      );
      report({ kind: 'ended', route: await remote.search([...from], [...to], progressed) });
    },
  );
