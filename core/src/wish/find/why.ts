import { showLook } from '../look';
import { Compiled, termsOf } from './lists';
import { Network } from './network';

const sayWishes = (wishes: readonly number[]): string => {
  const numbers = wishes.map((wish) => `${wish + 1}`);
  const [last] = numbers.slice(-1);
  return numbers.length === 1 ? `Wish ${last}` : `Wishes ${numbers.slice(0, -1).join(', ')} and ${last}`;
};

/** A card that lies at a place, as faces and places are numbered. */
type Fact = readonly [place: number, face: number];

/** What some wishes leave no choice about; undefined where they leave nothing at all. */
const factsOf = (list: Compiled, wishes: readonly number[]): readonly Fact[] | undefined => {
  const network = new Network(list.faces, termsOf(list, wishes));
  if (!network.begin()) return undefined;
  const { domains } = network;
  return Array.from({ length: domains.size }, (_, place) => place)
    .filter((place) => domains.isFixed(place))
    .map((place) => [place, domains.faceAt(place)] as const);
};

/** Whether a wish lets cards lie so, as far as that is seen at once. */
const lets = (list: Compiled, wish: number, facts: readonly Fact[]): boolean => {
  const network = new Network(list.faces, termsOf(list, [wish]));
  return (
    network.begin() && facts.every(([place, face]) => network.domains.fix(place, face)) && network.narrow()
  );
};

/** More cards than this explain nothing. */
const MOST_FACTS = 4;

/** The fewest of some facts that a wish does not let stand together: one after the other is left out. */
const fewest = (list: Compiled, wish: number, facts: readonly Fact[]): readonly Fact[] =>
  facts.reduce<readonly Fact[]>((left, fact) => {
    const others = left.filter((each) => each !== fact);
    return lets(list, wish, others) ? left : others;
  }, facts);

/** Why some wishes cannot live together, where one sees it: cards that some of them put where another does not let them. */
export const whyNone = (list: Compiled, wishes: readonly number[]): string | undefined => {
  if (wishes.length === 1) return list.terms[wishes[0]].find(({ why }) => why !== undefined)?.why;
  for (const wish of wishes) {
    const others = wishes.filter((each) => each !== wish);
    const facts = factsOf(list, others);
    if (!facts || facts.length === 0 || lets(list, wish, facts)) continue;
    const few = fewest(list, wish, facts);
    if (few.length > MOST_FACTS) continue;
    const cards = few.map(([place, face]) => `${showLook(list.faces.looks[face])} at ${place + 1}`);
    const put = others.length === 1 ? 'puts' : 'put';
    return `${sayWishes(others)} ${put} ${cards.join(' and ')}, which wish ${wish + 1} does not let lie so.`;
  }
  return undefined;
};
