/** Drawing helpers on the 720-degree ribbon; the angles themselves come from the application. */
export const CYCLE = 720;

export const wrap = (deg: number) => ((deg % CYCLE) + CYCLE) % CYCLE;

/** Pieces of an arc as seen on a ribbon cut at zero, each [from, to] in 0 to 720. */
export function pieces(fromDeg: number, toDeg: number): [number, number][] {
  const from = wrap(fromDeg);
  const to = wrap(toDeg);
  return from <= to
    ? [[from, to]]
    : [
        [from, CYCLE],
        [0, to],
      ];
}

export function inside(deg: number, fromDeg: number, toDeg: number): boolean {
  return wrap(deg - fromDeg) <= wrap(toDeg - fromDeg);
}

/** How far the line at a position is from the nearer end of a free window; below zero outside it. */
export function slackAt(deg: number, w: { freeFromDeg: number; freeToDeg: number }): number {
  const ahead = wrap(w.freeToDeg - deg);
  const behind = wrap(deg - w.freeFromDeg);
  if (inside(deg, w.freeFromDeg, w.freeToDeg)) return Math.min(ahead, behind);
  return -Math.min(wrap(w.freeFromDeg - deg), wrap(deg - w.freeToDeg));
}
