import {
  symbol,
  symbolCircle,
  symbolCross,
  symbolDiamond,
  symbolSquare,
  symbolTriangle,
  SymbolType,
} from 'd3-shape';

/** How the path of one of the followed cards is drawn: each differs from the others without its colour, too. */
export interface PathMark {
  /** Its name, for the ear: `solid`. */
  readonly name: string;
  readonly dash: string;
  /** The sign that stands on its line in every column. */
  readonly sign: string;
}

const mark = (name: string, dash: string, type: SymbolType): PathMark => ({
  ...{ name, dash },
  sign: symbol(type, 46)() ?? '',
});

/** In the order in which cards are followed; the style sheet has a colour for each. */
export const PATH_MARKS: readonly PathMark[] = [
  mark('solid', '', symbolCircle),
  mark('dashed', '9 5', symbolSquare),
  mark('dotted', '2 5', symbolTriangle),
  mark('dash and dot', '10 4 2 4', symbolDiamond),
  mark('long dashes', '18 6', symbolCross),
];
