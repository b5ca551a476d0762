/** A key that no other row has: 24 hexadecimal digits by chance. */
export const newId = (): string =>
  Array.from(crypto.getRandomValues(new Uint8Array(12)), (byte) => byte.toString(16).padStart(2, '0')).join(
    '',
  );
