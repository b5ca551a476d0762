import { shouldBe } from '../../deck/shape';
import { formatCard } from '../../deck/notation';
import { laidOut } from '../../procedure/laid';
import { compile } from '../../procedure/compile';
import { Machine } from '../../procedure/machine';
import { INDIFFERENT } from '../../procedure/packets';
import { Procedure } from '../../procedure/procedure';
import { BUDGET, hasChance, prove } from '../../rehearse/prove';
import { readProcedure } from '../../rehearse/readProcedure';
import { cardsOn } from '../find/cardsOn';
import { whole } from '../find/terms/whole';
import { WishKind, wrong } from '../kind';
import { Laid } from '../look';
import { FLAG_SLOT, maybe, OF_100, Slot } from '../slots';
import { WishOf } from '../wish';

const PROCEDURE: Slot = {
  kind: 'other',
  part: (value) => {
    const read = readProcedure(value);
    return read.ok ? undefined : read.problems[0];
  },
  say: (value) => (value as Procedure).name || 'a procedure',
};

const PACKET: Slot = {
  kind: 'other',
  part: (value) => (typeof value === 'string' ? undefined : shouldBe(value, 'a packet’s name')),
  say: (value) => value as string,
};

const write = (card: number): string => (card === INDIFFERENT ? '-' : formatCard(card));
const sorted = (cards: readonly string[]): string => [...cards].sort().join(' ');

/** The procedure with an order as one of its packets, and as every known order of the cards that the packet had. */
export const withPacket = (procedure: Procedure, packet: string, laid: Laid): Procedure => {
  const cards = laid.map(write);
  const { packets = {}, orders = {}, givens = {} } = procedure;
  const had = sorted((laidOut(packets[packet] ?? [], givens) ?? []).map(write));
  return {
    ...procedure,
    packets: { ...packets, [packet]: cards },
    ...(procedure.orders && {
      orders: Object.fromEntries(
        Object.entries(orders).map(([name, order]) => [name, sorted(order) === had ? cards : order]),
      ),
    }),
  };
};

const judge = ({ procedure, packet, outs }: WishOf<'procedure'>, laid: Laid) => {
  const proof = prove(withPacket(procedure, packet, laid));
  return {
    cases: proof.cases,
    good: proof.held + (outs === true ? proof.outs : 0),
    complete: proof.complete,
  };
};

/** A procedure holds with the order in at least a share of its cases. */
export const PROCEDURE_HOLDS: WishKind<'procedure'> = {
  begins: 'a procedure holds',
  says: ({ outs }) =>
    `“{procedure}” holds with it as {packet} in at least {least} of 100 cases${outs ? ', outs counted' : ''}`,
  fields: { procedure: PROCEDURE, packet: PACKET, least: maybe(OF_100), outs: maybe(FLAG_SLOT) },
  begin: { kind: 'procedure', procedure: { name: '', steps: [] }, packet: 'pack' },
  whyNot: ({ procedure, packet }) => {
    if (hasChance(procedure))
      return wrong(
        'It is shuffled in the procedure, and a wish is judged without chance.',
        'Choose another procedure.',
      );
    return Object.hasOwn(procedure.packets ?? {}, packet)
      ? undefined
      : wrong(`The procedure has no packet “${packet.slice(0, 20)}”.`, 'Name one of its packets.');
  },
  cases: (laid, wish) => {
    const { cases, good, complete } = judge(wish, laid);
    const ok = complete && cases > 0 && good >= (wish.least ?? 1) * cases;
    const says = !complete ? 'too long to prove' : cases === 0 ? 'no case' : `${good} of ${cases} cases`;
    return [{ ok, says, places: [] }];
  },
  terms: (wish, { faces, view, cards }) => {
    const { least = 1, packet, outs } = wish;
    const key = `procedure ${packet} ${least} ${String(outs)} ${view.join(' ')} ${JSON.stringify(wish.procedure)}`;
    const laidOn = cardsOn(faces, cards);
    return [
      whole(
        faces,
        key,
        ({ at }) => {
          const laid = laidOn(at);
          const proof = prove(
            withPacket(
              wish.procedure,
              packet,
              view.map((place) => laid[place]),
            ),
          );
          if (!proof.complete || proof.cases === 0) return 3;
          const lacks = least * proof.cases - proof.held - (outs === true ? proof.outs : 0);
          return lacks <= 0 ? 0 : 0.2 + (2 * lacks) / proof.cases;
        },
        { dear: true, cost: proofCost(withPacket(wish.procedure, packet, cards)) },
      ),
    ];
  },
};

/** A step of a proof is about half as much work as a look at a part of a wish, and a proof some looks by itself. */
const [STEP, PROOF] = [0.5, 2000];

/** How much work a proof of a procedure is, seen from one of its orders. */
const proofCost = (procedure: Procedure): number => {
  if (hasChance(procedure)) return PROOF;
  const machine = new Machine(compile(procedure), {});
  machine.run(BUDGET);
  // What is to be known is judged when every world has run: they run again.
  return PROOF + machine.steps * STEP * (machine.program.claims.length > 0 ? 2 : 1);
};
