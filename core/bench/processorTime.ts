/**
 * What the processor has worked for this process, in milliseconds: what else a busy machine does is not in it, so that
 * two runs can be compared.
 */
export const processorTime = (): number => {
  const { user, system } = process.cpuUsage();
  return (user + system) / 1000;
};

/** What some work takes. */
export const timed = <Result>(run: () => Result): { readonly ms: number; readonly result: Result } => {
  const began = processorTime();
  const result = run();
  return { ms: processorTime() - began, result };
};

const ROUNDS = 20_000_000;

/** A fixed piece of work, whose speed says how fast the machine was just then: xorshift rounds, in millions a second. */
export const machineSpeed = (): number => {
  let state = 0x9e3779b9;
  const { ms } = timed(() => {
    for (let round = 0; round < ROUNDS; round++) {
      state ^= state << 13;
      state ^= state >>> 17;
      state ^= state << 5;
    }
  });
  return state === 0 ? 0 : ROUNDS / ms / 1000;
};
