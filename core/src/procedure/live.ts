import { Do, Instruction, Program } from './program';

/** Where an instruction may lead. */
export const nextOf = ({ kind, to, ways }: Instruction, at: number): readonly number[] => {
  switch (kind) {
    case Do.Jump:
      return [to];
    case Do.Branch:
      return ways;
    case Do.Test:
    case Do.Round:
      return [at + 1, to];
    case Do.End:
      return [];
    default:
      return [at + 1];
  }
};

/**
 * By instruction: the values that what comes from there on still reads, before they are given anew. Two worlds in
 * which these and the packets are the same go on in the same way.
 *
 * @param all whether what the performer sees is kept to the end.
 */
export const liveValues = (program: Program, all: boolean): readonly Int32Array[] => {
  const known = all ? KNOWN_ALL : KNOWN;
  const found = known.get(program.reads) ?? findLive(program, all);
  known.set(program.reads, found);
  return found;
};

/** What was found of a program that is run again, by what its instructions read: that is its own. */
const [KNOWN, KNOWN_ALL] = [
  new WeakMap<Program['reads'], readonly Int32Array[]>(),
  new WeakMap<Program['reads'], readonly Int32Array[]>(),
];

const findLive = (
  { code, reads, gives, claims, sights, rounds, values }: Program,
  all: boolean,
): readonly Int32Array[] => {
  const live = code.map(() => new Set<number>());
  // What is claimed to be known is judged by all sights, and what was not known stays so to the end.
  const always = claims.length > 0 || all ? [...sights, ...(all ? rounds : []), values] : [];
  for (let changed = true; changed;) {
    changed = false;
    for (let at = code.length - 1; at >= 0; at--) {
      const before = live[at].size;
      for (const next of nextOf(code[at], at))
        for (const value of live[next]) if (value !== gives[at]) live[at].add(value);
      for (const value of [...reads[at], ...always]) live[at].add(value);
      changed ||= live[at].size !== before;
    }
  }
  return live.map((found) => Int32Array.from(found).sort());
};
