import { JobRule } from '@enumeron/core/job';
import { JOBS } from '@enumeron/core/file/jobs';
import { JobName } from './jobs';

/** How long a job runs between two reports, in milliseconds; as long it may take until it hears anything. */
const EVERY = 40;

const ruleOf = (name: JobName): JobRule<unknown, unknown, unknown> => JOBS[name];

/** Lets messages in. */
const turn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** What a worker offers: any job of core, a part of it at a time. */
export class JobsInWorker {
  private held = false;
  /** Whether what runs is to end where it is. */
  private stopping = false;
  private goOn: (() => void) | undefined;

  /** Says that it is there. */
  alive(): boolean {
    return true;
  }

  /** The arguments of the parts that can be done beside each other. */
  split(name: JobName, args: unknown): readonly unknown[] {
    return ruleOf(name).parts?.split(args) ?? [args];
  }

  /** The arguments of another round of parts, by what came of one; undefined where that is the end. */
  again(
    name: JobName,
    parts: readonly unknown[],
    results: readonly unknown[],
  ): readonly unknown[] | undefined {
    return ruleOf(name).parts?.again?.(parts, results);
  }

  /** What several parts come to, or how far they are together. */
  join(name: JobName, values: readonly unknown[]): unknown {
    const { parts } = ruleOf(name);
    return parts ? parts.join(values) : values[0];
  }

  /** Has what runs here wait, or go on. */
  hold(held: boolean): void {
    this.held = held;
    if (!held) this.goOn?.();
  }

  /** Ends what runs here where it is: nobody wants to know what comes of it. */
  stop(): void {
    this.stopping = true;
    this.hold(false);
  }

  /** Runs one part to its end, and reports how far it is now and then; undefined where it was stopped. */
  async run(name: JobName, args: unknown, report: (progress: unknown) => void): Promise<unknown> {
    const job = ruleOf(name).start(args);
    this.stopping = false;
    let reported = -Infinity;
    for (;;) {
      const step = job.next();
      if (step.done) return step.value;
      if (performance.now() - reported < EVERY) continue;
      report(step.value);
      await turn();
      while (this.held && !this.isStopping()) await new Promise<void>((resolve) => (this.goOn = resolve));
      if (this.isStopping()) return undefined;
      reported = performance.now();
    }
  }

  /** Asked anew each time: it may be told while a job waits. */
  private isStopping(): boolean {
    return this.stopping;
  }
}
