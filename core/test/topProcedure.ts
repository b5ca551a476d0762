import { Procedure } from '../src/procedure/procedure';

/**
 * A small procedure over a pack: they cut, and what lies on top then is claimed to be red. With a share of its cases as a
 * wish it holds for some orders and not for others.
 *
 * @param which 0 to 2: how much of it must hold.
 */
export const topProcedure = (
  pack: readonly string[],
  which: number,
): {
  readonly procedure: Procedure;
  readonly packet: string;
  readonly least: number;
  readonly outs?: boolean;
} => ({
  procedure: {
    name: 'Red on top',
    packets: { pack: [...pack] },
    orders: { home: [...pack] },
    steps: [
      { do: 'choose', name: 'k', from: 1, to: 3, told: true },
      { do: 'cut', packet: 'pack', count: 'k' },
      { do: 'see', what: { 'top of': 'pack' }, name: 'top', by: 'performer' },
      {
        do: 'if',
        that: { equal: [{ 'stack number of': 'top', in: 'home' }, 3] },
        then: [{ do: 'out', words: 'The third.' }],
      },
      { do: 'claim', that: { equal: [{ 'colour of': 'top' }, 1] } },
    ] as Procedure['steps'],
  },
  packet: 'pack',
  least: [1, 0.3, 0.6][which],
  ...(which > 0 && { outs: true }),
});
