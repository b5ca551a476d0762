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
export { WISHES } from './wishes';
