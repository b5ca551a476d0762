/** A value without one of its fields: not there at all, so that it is read back as it was written. */
export const without = <Value extends object, Field extends keyof Value>(
  value: Value,
  field: Field,
): Omit<Value, Field> =>
  Object.fromEntries(Object.entries(value).filter(([name]) => name !== field)) as Omit<Value, Field>;
