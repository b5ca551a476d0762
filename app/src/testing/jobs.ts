import { JobRule, runJob } from '@enumeron/core/job';
import { JOBS } from '@enumeron/core/file/jobs';
import { of } from 'rxjs';
import { RunJob } from '../app/platform/workers/jobs';

/** Does a job here and at once, in the parts in which workers would. */
export const runHere: RunJob = (name, args) =>
  of({
    kind: 'ended',
    result: runJob(JOBS[name] as unknown as JobRule<typeof args, never, never>, args),
  });
