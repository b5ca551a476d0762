import { showLook } from '../look';
import { Compiled, termsOf } from './lists';
import { Network } from './network';

const sayWishes = (wishes: readonly number[]): string => {
  const numbers = wishes.map((wish) => `${wish + 1}`);
  const [last] = numbers.slice(-1);
  return numbers.length === 1 ? `Wish ${last}` : `Wishes ${numbers.slice(0, -1).join(', ')} and ${last}`;
};

/** Why some wishes cannot live together, where one sees it: a card that some of them put where another does not let it. */
export const whyNone = (list: Compiled, wishes: readonly number[]): string | undefined => {
  if (wishes.length === 1) return list.terms[wishes[0]].find(({ why }) => why !== undefined)?.why;
  for (const wish of [...wishes].reverse()) {
    const others = wishes.filter((each) => each !== wish);
    const network = new Network(list.faces, termsOf(list, others));
    if (!network.begin()) continue;
    const { domains } = network;
    for (let place = 0; place < domains.size; place++) {
      if (!domains.isFixed(place)) continue;
      const face = domains.faceAt(place);
      const alone = new Network(list.faces, termsOf(list, [wish]));
      if (!alone.begin()) break;
      if (alone.domains.fix(place, face) && alone.narrow()) continue;
      const card = showLook(list.faces.looks[face]);
      return `${sayWishes(others)} put ${card} at ${place + 1}, where wish ${wish + 1} lets another card lie.`.replace(
        'put',
        others.length === 1 ? 'puts' : 'put',
      );
    }
  }
  return undefined;
};
