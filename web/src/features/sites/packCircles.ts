/** A cable in a duct, as it is drawn. */
export interface Placed {
  x: number;
  y: number;
  r: number;
}

const ROUNDING = 1e-6;

/**
 * Cables as they would lie in a round bore, the thickest first, each as low as there is room: for a drawing. What finds no room
 * is left out.
 */
export function packCircles(boreMm: number, diametersMm: readonly number[]): Placed[] {
  const bore = boreMm / 2;
  const placed: Placed[] = [];
  for (const r of diametersMm.map((d) => d / 2).toSorted((a, b) => b - a)) {
    const fits = (c: Placed) =>
      Math.hypot(c.x, c.y) + r <= bore + ROUNDING &&
      placed.every((p) => Math.hypot(p.x - c.x, p.y - c.y) >= p.r + r - ROUNDING);
    const [lowest] = candidates(bore, r, placed)
      .filter(fits)
      .toSorted((a, b) => b.y - a.y || a.x - b.x);
    if (lowest) placed.push(lowest);
  }
  return placed;
}

/** Where a circle may touch: the bottom, the wall and another one, or two others. */
function candidates(bore: number, r: number, placed: readonly Placed[]): Placed[] {
  const at = (x: number, y: number) => ({ x, y, r });
  const wall = { x: 0, y: 0, r: bore - 2 * r };
  const rings = placed.map((p) => ({ x: p.x, y: p.y, r: p.r }));
  return [
    at(0, bore - r),
    ...rings.flatMap((p) =>
      [wall, ...rings.filter((q) => q !== p)].flatMap((q) =>
        crossings(p.x, p.y, p.r + r, q.x, q.y, q.r + r).map(([x, y]) => at(x, y)),
      ),
    ),
  ];
}

/** Where two circles cross. */
function crossings(
  x1: number,
  y1: number,
  r1: number,
  x2: number,
  y2: number,
  r2: number,
): [number, number][] {
  const d = Math.hypot(x2 - x1, y2 - y1);
  if (d === 0 || d > r1 + r2 || d < Math.abs(r1 - r2)) return [];
  const a = (r1 * r1 - r2 * r2 + d * d) / (2 * d);
  const h = Math.sqrt(Math.max(0, r1 * r1 - a * a));
  const [ux, uy] = [(x2 - x1) / d, (y2 - y1) / d];
  const [x, y] = [x1 + a * ux, y1 + a * uy];
  return [
    [x - h * uy, y + h * ux],
    [x + h * uy, y - h * ux],
  ];
}
