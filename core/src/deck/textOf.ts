/** A value as text, its fields by name: alike for what is alike. */
export const textOf = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    typeof inner === 'object' && inner !== null && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)))
      : inner,
  );

/** What has a time of its last change, in milliseconds. */
export interface Changed<Value> {
  readonly changed: number;
  readonly value: Value;
}

/** Which of two states of a thing stays where two devices are merged: the later one; at the same time the greater text. */
export const laterOf = <Value>(a: Changed<Value>, b: Changed<Value>): Changed<Value> => {
  if (a.changed !== b.changed) return a.changed > b.changed ? a : b;
  return textOf(a.value) >= textOf(b.value) ? a : b;
};
