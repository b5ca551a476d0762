export { fileName, hasInvisible, makeName, NAME_LIMIT, nameProblem, parseName, typedName } from './name';
export { makeOrderJson, type OrderFile, parseOrderJson } from './orderJson';
export { layOut, ORDER_LAYOUTS, type OrderLayout } from './orderLayouts';
export { makeStripSvg } from './stripSvg';
