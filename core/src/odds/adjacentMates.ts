/**
 * The chance that in a well-shuffled pack of so many pairs of mates at least one pair lies side by side, by
 * inclusion and exclusion: j pairs glued together leave 2n − j things to arrange, each pair either way round.
 *
 * @param pairs 1 or more: 26 in a full pack.
 */
export const adjacentMatesChance = (pairs: number): number => {
  let chance = 0;
  let term = 1;
  for (let glued = 1; glued <= pairs; glued++) {
    term *= ((pairs - glued + 1) / glued) * (2 / (2 * pairs - glued + 1));
    chance += glued % 2 === 1 ? term : -term;
  }
  return chance;
};
