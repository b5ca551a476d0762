import { arc } from 'd3-shape';

/** Radii of the ring's parts, in its own units (the whole is 300 × 240 about its middle). */
export const RADIUS = { tick: 92, longTick: 82, hand: 70, arc: 98, label: 116, ends: 110 } as const;

/** The angle at a gap between cards (0 to N) of a pack drawn as a circle: radians clockwise from the top. */
export const gapAngle = (gap: number, size: number): number => (gap / size) * 2 * Math.PI;

/** The angle of the card at a place (1 to N): the middle of its share. */
export const placeAngle = (place: number, size: number): number => gapAngle(place - 0.5, size);

/** The point at an angle and a distance from the middle. */
export const pointAt = (angle: number, radius: number): { x: number; y: number } => ({
  x: radius * Math.sin(angle),
  y: -radius * Math.cos(angle),
});

/** The path of an arc from one place to another, the shorter way round; empty when they are the same. */
export const arcBetween = (from: number, to: number, size: number): string => {
  const start = placeAngle(from, size);
  const turn = placeAngle(to, size) - start;
  const shorter = turn - 2 * Math.PI * Math.round(turn / (2 * Math.PI));
  if (shorter === 0) return '';
  return (
    arc()({
      innerRadius: RADIUS.arc,
      outerRadius: RADIUS.arc + 6,
      startAngle: start,
      endAngle: start + shorter,
    }) ?? ''
  );
};
