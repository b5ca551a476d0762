import { Card } from '../deck/card';
import { formatCard } from '../deck/notation';
import { Procedure } from '../procedure/procedure';
import { FORMAT } from './readProcedure';

/** A procedure without steps, with a pack in its home order on the table. */
export const newProcedure = (name: string, home: readonly Card[]): Procedure => {
  const cards = home.map(formatCard);
  return {
    ...{ format: FORMAT, version: 1, name },
    ...{ packets: { pack: cards }, orders: { home: cards } },
    steps: [],
  };
};
