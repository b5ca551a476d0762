import fc from 'fast-check';
import { shuffled, seededRng, numberOrder, Card } from '@enumeron/core/deck';
import { makeName, nameProblem } from '@enumeron/core/formats';

export const anyCards: fc.Arbitrary<Card[]> = fc
  .tuple(fc.integer(), fc.integer({ min: 1, max: 60 }))
  .map(([seed, size]) =>
    shuffled([...numberOrder(), 52, 53, 54, 60, 70, 80, 90, 100], seededRng(seed)).slice(0, size),
  );
export const anyName = fc
  .string({ unit: 'grapheme', minLength: 1, maxLength: 60 })
  .filter((text) => nameProblem(text) === undefined)
  .map(makeName);
export const anyId = fc.stringMatching(/^[\w-]{1,64}$/).filter((id) => id !== 'new');
export const anyTime = fc.integer({ min: 0, max: 4e12 });
