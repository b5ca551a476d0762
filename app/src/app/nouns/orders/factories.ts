import { Factory } from '@enumeron/core/arrange';
import { showSuit, Suit } from '@enumeron/core/deck';

/** A usual way in which a new pack comes, told by its pattern. */
export interface FactoryLayout {
  readonly name: string;
  readonly rule: Factory;
}

const layout = (suits: readonly Suit[], up: readonly boolean[]): FactoryLayout => ({
  name: suits.map((suit, index) => `${showSuit(suit)} ${up[index] ? 'A–K' : 'K–A'}`).join(', '),
  rule: { kind: 'factory', suits, up },
});

/** All suits up, all down, and the first two up and the others down, in the usual rows of suits. */
export const FACTORIES: readonly FactoryLayout[] = (
  [
    [3, 1, 0, 2],
    [2, 0, 1, 3],
    [3, 2, 0, 1],
    [0, 1, 2, 3],
    [3, 2, 1, 0],
  ] as const
).flatMap((suits) => [
  layout(suits, [true, true, false, false]),
  layout(suits, [true, true, true, true]),
  layout(suits, [false, false, false, false]),
]);
