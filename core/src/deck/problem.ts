/** An expected failure as a value: what is wrong, where, and what to do. Each field is a sentence or a phrase. */
export interface Problem {
  readonly what: string;
  readonly where?: string;
  readonly remedy: string;
}

/** Either a result or the problems that stand in its way; never both. */
export type Outcome<Result extends object, P extends Problem = Problem> =
  ({ readonly ok: true } & Result) | { readonly ok: false; readonly problems: readonly P[] };

/** A problem as one line of text. */
export const sayProblem = ({ what, where, remedy }: Problem): string =>
  [where ? `${where}: ${what}` : what, remedy].join(' ');
