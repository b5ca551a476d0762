import { Instruction, Program } from './program';

const nextOf = (instruction: Instruction, at: number): readonly number[] => {
  switch (instruction.kind) {
    case 'jump':
      return [instruction.to];
    case 'branch':
      return instruction.to;
    case 'test':
      return [at + 1, instruction.otherwise];
    case 'round':
      return [at + 1, instruction.end];
    case 'end':
      return [];
    default:
      return [at + 1];
  }
};

/**
 * By instruction: the values that what comes from there on still reads, before they are given anew. Two worlds in
 * which these and the packets are the same go on in the same way.
 */
export const liveValues = ({
  code,
  reads,
  gives,
  claims,
  sights,
}: Program): readonly (readonly number[])[] => {
  const live = code.map(() => new Set<number>());
  const always = claims.length > 0 ? sights : [];
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
  return live.map((values) => [...values].sort((a, b) => a - b));
};
