export { type WishCase } from './cases';
export { checkWish, type WishCheck } from './checkWish';
export {
  FIND_ORDER,
  type FindArgs,
  type FindProgress,
  findOrder,
  type Found,
  type FoundConflict,
  type FoundOrder,
  type NotFound,
} from './findOrder';
export {
  type CardClass,
  type Cuts,
  type Hand,
  type ListedWish,
  type Places,
  type RuleName,
  type Span,
  type Wish,
  type WishList,
  type WishName,
  type WishOf,
} from './wish';
export { FORMAT as WISHES_FORMAT, readWishes, wishProblem } from './readWishes';
export { sayWish, wishPieces, type WishPiece } from './sayWish';
export { type Slot, type SlotKind } from './slots';
export { WISHES } from './wishes';
