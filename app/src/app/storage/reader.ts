import { inject, Injectable } from '@angular/core';
import { Outcome } from '@enumeron/core/deck';
import { catchError, EMPTY, from, OperatorFunction, switchMap } from 'rxjs';
import { Scripts } from '../platform/scripts';
import { Kind } from './kind';

/** A row was refused, and what can tell why is not there yet. `Reader.reading` loads it and does all again. */
class Untold extends Error {}

/**
 * Checks rows. The quick check comes behind the first painting; what tells why a row is refused, only once one is. Read
 * rows inside `reading`.
 */
@Injectable({ providedIn: 'root' })
export class Reader {
  private readonly scripts = inject(Scripts);
  private quick: typeof import('./quick') | undefined;
  private check: typeof import('./check') | undefined;
  private loading: Promise<void> | undefined;

  /** Resolves when rows can be read; rejects when the script cannot be had, which has been told then. */
  ready(): Promise<void> {
    this.loading ??= this.scripts
      .load(() => import('./quick'))
      .then((module) => {
        this.quick = module;
      });
    return this.loading;
  }

  /**
   * Does what reads rows, a transaction or anything else that can be done again: where a row is refused, what tells why is
   * loaded and all is done once more. Rejects when a script cannot be had, which has been told then.
   */
  async reading<Result>(act: () => Result | PromiseLike<Result>): Promise<Result> {
    await this.ready();
    try {
      return await act();
    } catch (error) {
      if (!(error instanceof Untold)) throw error;
    }
    this.check ??= await this.scripts.load(() => import('./check'));
    return act();
  }

  /**
   * Of rows as they are stored, those that pass. Nothing comes of it where what checks them cannot be had, which has
   * been told.
   */
  sound<Row>(kind: Kind<Row>): OperatorFunction<readonly Row[], Row[]> {
    return switchMap((rows) =>
      from(this.reading(() => rows.filter((row) => this.read(kind, row).ok))).pipe(catchError(() => EMPTY)),
    );
  }

  /** Reads a row of a kind. Throws before `ready`, and outside of `reading` where it is refused. */
  read<Row>(kind: Kind<Row>, value: unknown): Outcome<{ readonly row: Row }> {
    if (!this.quick) throw new Error('the reader is not ready');
    if (this.quick.passesQuickly(kind, value)) return { ok: true, row: value as Row };
    if (!this.check) throw new Untold();
    return this.check.readRow(kind, value);
  }
}
