import { SumKind } from '@enumeron/core/learn';

/** A page where a kind of sum is used: its address, part by part, and the room's name. */
export interface WhereUsed {
  readonly path: readonly string[];
  readonly room: string;
}

/** @param orderId the order that is learnt: its rule is a page of its own. */
export const whereUsed = ({ way, belongsTo }: SumKind, orderId: string): WhereUsed | undefined => {
  if (way !== undefined) return { path: ['/reckon', ...(way === '' ? [] : [way])], room: 'Reckon' };
  if (belongsTo === 'weave') return { path: ['/weave'], room: 'Weave' };
  return belongsTo && { path: ['/arrange', orderId, 'rule'], room: 'Arrange' };
};
