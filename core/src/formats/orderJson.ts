import { Order } from '../deck/order';
import { formatOrder, parsePart } from '../deck/orderText';
import { Outcome, Problem, sayProblem } from '../deck/problem';
import { Fields } from '../deck/shape';

/** An order as it stands in a JSON file. docs/formats.md describes it. */
export interface OrderFile {
  readonly name: string;
  readonly order: Order;
}

const FORMAT = 'enumeron-order';

export const makeOrderJson = ({ name, order }: OrderFile): string =>
  `${JSON.stringify({ format: FORMAT, version: 1, name, cards: formatOrder(order) }, null, 2)}\n`;

const refuse = (problem: Problem): Outcome<OrderFile> => ({ ok: false, problems: [problem] });

/**
 * Reads what stood in a JSON file with one order. Nothing in it is taken unless all of it is right.
 *
 * @param value anything, as `JSON.parse` gave it.
 */
export const parseOrderJson = (value: unknown): Outcome<OrderFile> => {
  const { format, version, name, cards } = (value ?? {}) as Fields;
  if (format !== FORMAT)
    return refuse({
      what: 'This file is not an order from Enumeron.',
      remedy: `Its format should be “${FORMAT}”.`,
    });
  if (version !== 1)
    return refuse(
      Number.isSafeInteger(version) && Number(version) > 1
        ? {
            what: `Version ${Number(version)} of the format is newer than this.`,
            remedy: 'Update Enumeron, then open it.',
          }
        : { what: 'The file does not say which version of the format it has.', remedy: 'It should be 1.' },
    );
  if (typeof name !== 'string' || typeof cards !== 'string')
    return refuse({ what: 'The name or the cards are missing.', remedy: 'Both must be texts.' });
  const outcome = parsePart(cards);
  return outcome.ok
    ? { ok: true, name, order: outcome.order }
    : refuse({ where: 'cards', what: sayProblem(outcome.problems[0]), remedy: '' });
};
