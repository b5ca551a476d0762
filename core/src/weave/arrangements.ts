/** All orders of a few things. */
export const arrangements = <Item>(items: readonly Item[]): Item[][] =>
  items.length === 0
    ? [[]]
    : items.flatMap((item, index) =>
        arrangements([...items.slice(0, index), ...items.slice(index + 1)]).map((rest) => [item, ...rest]),
      );
