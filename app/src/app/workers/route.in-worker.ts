import { proxy, Remote, wrap } from 'comlink';
import { Observable } from 'rxjs';
import { SearchRoute } from './route';
import type { RouteWorker } from './route.worker';

/** One worker a search; it ends with the subscription. No test imports this file: `import.meta`. */
export const searchRouteInWorker: SearchRoute = (from, to) =>
  new Observable((observer) => {
    const worker = new Worker(new URL('./route.worker', import.meta.url), { type: 'module' });
    const remote: Remote<RouteWorker> = wrap<RouteWorker>(worker);
    remote
      .search(
        [...from],
        [...to],
        proxy((progress) => observer.next({ kind: 'searching', progress })),
      )
      .then((route) => {
        observer.next({ kind: 'ended', route });
        observer.complete();
      })
      .catch((error: unknown) => observer.error(error));
    return () => worker.terminate();
  });
