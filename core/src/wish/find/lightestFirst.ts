/** More sets than this are not gone through. */
const MOST = 4096;

/**
 * All sets of indices of weights, the lightest first: each once, from the set of none on.
 *
 * @param weights above 0.
 */
export function* lightestFirst(weights: readonly number[]): Generator<readonly number[], void, undefined> {
  const byWeight = weights.map((_, index) => index).sort((a, b) => weights[a] - weights[b]);
  const weigh = (set: readonly number[]): number => set.reduce((sum, at) => sum + weights[byWeight[at]], 0);
  const open: { readonly set: readonly number[]; readonly weight: number }[] = [{ set: [], weight: 0 }];
  for (let told = 0; told < MOST; told++) {
    const next = open.reduce<number>(
      (best, { weight }, at) => (best < 0 || weight < open[best].weight ? at : best),
      -1,
    );
    if (next < 0) return;
    const [{ set }] = open.splice(next, 1);
    yield set.map((at) => byWeight[at]);
    // Each set comes from one before it: with one more behind its last, or its last put off by one.
    const last = set.at(-1) ?? -1;
    if (last + 1 >= byWeight.length) continue;
    const more = [...set, last + 1];
    open.push({ set: more, weight: weigh(more) });
    if (set.length > 0) {
      const later = [...set.slice(0, -1), last + 1];
      open.push({ set: later, weight: weigh(later) });
    }
  }
}
