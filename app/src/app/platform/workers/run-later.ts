import { defer, switchMap } from 'rxjs';
import { RunJob } from './jobs';

/** Does jobs in workers; what that takes is loaded with the first of them. */
export const runLater: RunJob = (name, args, held) =>
  defer(() => import('./jobs.host')).pipe(switchMap(({ runInWorkers }) => runInWorkers(name, args, held)));
