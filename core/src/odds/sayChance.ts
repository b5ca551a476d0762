const MOST_TIMES = 12;

/** A chance as people say it: `about 7 times in 11`. */
export const sayTimes = (chance: number): string => {
  if (chance <= 0) return 'never';
  if (chance >= 1) return 'always';
  const rare = Math.min(chance, 1 - chance);
  if (rare < 1e-7) return chance < 0.5 ? 'less than once in 10 million' : 'all but once in 10 million';
  if (rare >= 0.485) return 'about half the time';
  if (rare < 1 / MOST_TIMES) {
    const many = Math.round(1 / rare);
    const said = many > 1000 ? Math.round(many / 100) * 100 : many;
    return `${chance < 0.5 ? 'about once' : 'all but about once'} in ${said.toLocaleString('en')}`;
  }
  const [times, all] = fractionOf(chance);
  return `about ${times === 1 ? 'once' : `${times} times`} in ${all}`;
};

/** The plainest fraction that is near, or else the nearest. */
const fractionOf = (chance: number): readonly [times: number, all: number] => {
  const fractions = Array.from({ length: MOST_TIMES - 1 }, (_, index) => index + 2).map(
    (all) => [Math.min(all - 1, Math.max(1, Math.round(chance * all))), all] as const,
  );
  const off = ([times, all]: readonly [number, number]): number => Math.abs(times / all - chance);
  return (
    fractions.find((fraction) => off(fraction) < 0.008) ??
    fractions.reduce((best, each) => (off(each) < off(best) ? each : best))
  );
};
