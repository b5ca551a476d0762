import { properties } from '../arrange/properties';
import { Property } from '../arrange/property';
import { Order } from '../deck/order';
import { JobRule, oneStep } from '../job/job';
import { weave, WeaveKind } from '../moves/weave';

/** A property of an order, and after which weave it still holds. */
export interface Invariant {
  readonly property: Property;
  readonly through: Readonly<Record<WeaveKind, boolean>>;
}

/** Which of the properties that an order has live through a perfect weave: each is tried on the woven order. */
export const invariants = (order: Order): readonly Invariant[] => {
  const after = { in: properties(weave(order, 'in')), out: properties(weave(order, 'out')) };
  const holds = (kind: WeaveKind, id: string): boolean =>
    after[kind].some((property) => property.id === id && property.holds);
  return (
    properties(order)
      // What an order says of weaves itself is not tried by another one.
      .filter(({ id, holds: has }) => has && !id.endsWith('weave'))
      .map((property) => ({
        property,
        through: { in: holds('in', property.id), out: holds('out', property.id) },
      }))
  );
};

export const INVARIANTS: JobRule<{ readonly order: Order }, never, readonly Invariant[]> = oneStep(
  ({ order }) => invariants(order),
);
