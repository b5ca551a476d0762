const FAMILIES = [
  'Familjen Grotesk Variable',
  'Atkinson Hyperlegible Next Variable',
  'Atkinson Hyperlegible Mono Variable',
  'Enumeron Suits',
];

/** The longest that the first screen waits for them, in milliseconds. */
const PATIENCE = 400;

/**
 * Resolves once the shipped fonts are there, or when that takes too long. Laying the first screen out in a
 * system's fonts, only to do it again, costs more than the wait.
 */
export const fontsReady = async (): Promise<void> => {
  if (!('fonts' in document)) return;
  const loaded = Promise.all(FAMILIES.map((family) => document.fonts.load(`1rem "${family}"`, 'A♦')));
  await Promise.race([loaded, new Promise((resolve) => setTimeout(resolve, PATIENCE))]).catch(
    () => undefined,
  );
};
