import { inject, Injectable } from '@angular/core';
import { Outcome } from '@enumeron/core/deck';
import { catchError, EMPTY, from, map, OperatorFunction, switchMap } from 'rxjs';
import { Scripts } from '../platform/scripts';
import { Kind } from './kind';

/** Checks rows. What checks is loaded behind the first painting: wait for `ready` before the first row. */
@Injectable({ providedIn: 'root' })
export class Reader {
  private readonly scripts = inject(Scripts);
  private check: typeof import('./check') | undefined;
  private loading: Promise<void> | undefined;

  /** Resolves when rows can be read; rejects when the script cannot be had, which has been told then. */
  ready(): Promise<void> {
    this.loading ??= this.scripts
      .load(() => import('./check'))
      .then((module) => {
        this.check = module;
      });
    return this.loading;
  }

  /**
   * Of rows as they are stored, those that pass. Nothing comes of it where what checks them cannot be had, which has
   * been told.
   */
  sound<Row>(kind: Kind<Row>): OperatorFunction<readonly Row[], Row[]> {
    return switchMap((rows) =>
      from(this.ready()).pipe(
        map(() => rows.filter((row) => this.read(kind, row).ok)),
        catchError(() => EMPTY),
      ),
    );
  }

  /** Reads a row of a kind. Throws before `ready`. */
  read<Row>(kind: Kind<Row>, value: unknown): Outcome<{ readonly row: Row }> {
    if (!this.check) throw new Error('the reader is not ready');
    return this.check.readRow(kind, value);
  }
}
