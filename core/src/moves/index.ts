export { type Cut, cut } from './cut';
export { type Deal, deal } from './deal';
export { type DealHeaps, type UndealHeaps } from './dealHeaps';
export { applyMove, describeMove, invertMove, type Move, parseMove, placeAfterMove } from './move';
export { MOVE_USAGE, type MoveReading, parseMovesText, parseMoveText, WRITTEN_MOVES } from './moveText';
export { type Overhand } from './overhand';
export { type MovePacket, type ReversePacket } from './packet';
export { type SwapCards } from './swapCards';
export { type Riffle } from './riffle';
export { type Put, type Take } from './takePut';
export { weavesToPlace } from './topToPlace';
export {
  type Unweave,
  unweave,
  type UnweavePacket,
  type Weave,
  weave,
  type WeaveKind,
  type WeavePacket,
} from './weave';
export { countOfCards } from './wording';
