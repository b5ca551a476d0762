/** What an order can or cannot do, with the evidence. */
export interface Property {
  readonly id: string;
  readonly says: string;
  readonly holds: boolean;
  /** In how many of `of` cases it holds. */
  readonly count: number;
  readonly of: number;
  /** One line for each case that holds it up, or where it fails. */
  readonly evidence: readonly string[];
}

/** A property told by its cases: it holds when there are some and all are right. */
export const property = (
  id: string,
  says: string,
  cases: readonly { readonly ok: boolean; readonly says: string }[],
): Property => {
  const count = cases.filter(({ ok }) => ok).length;
  const holds = cases.length > 0 && count === cases.length;
  const shown = holds ? cases : count === 0 ? cases.slice(0, 6) : cases.filter(({ ok }) => !ok);
  return { id, says, holds, count, of: cases.length, evidence: shown.map((each) => each.says) };
};
