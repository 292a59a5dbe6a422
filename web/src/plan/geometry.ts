import type { Schemas, Valve } from "../api/client";

export type Layout = Pick<Schemas["LayoutView"], "arrangement" | "rotation" | "banks" | "firingOrder">;

/** Which way the front of the engine looks: `up` for a tall plan, `left` for a wide one. */
export type Facing = "up" | "left";

export interface PlacedValve {
  valve: Valve;
  intake: boolean;
  cylinder: number;
  x: number;
  y: number;
  r: number;
  /** Where its name stands, and its text anchor. */
  nameX: number;
  nameY: number;
}

export interface PlacedBore {
  cylinder: number;
  x: number;
  y: number;
  r: number;
}

export interface PlacedBank {
  name: string;
  x: number;
  y: number;
  /** Scribed line along the bank. */
  line: [x1: number, y1: number, x2: number, y2: number];
}

export interface Placed {
  width: number;
  height: number;
  valves: PlacedValve[];
  bores: PlacedBore[];
  banks: PlacedBank[];
}

const PITCH = 108;
const BORE = 47;
const EDGE = 62;
const HEAD = 54;
const STAGGER = 26;
const GAP = { INLINE: 0, V: 176, FLAT: 236 } as const;

export const kindOf = (valve: Valve) => (valve.includes("I") ? "INTAKE" : "EXHAUST");
export const cylinderOf = (valve: Valve) => Number.parseInt(valve, 10);

/** Puts every valve where it stands in the engine seen from above. */
export function place(layout: Layout, facing: Facing): Placed {
  const gap = layout.banks.length > 1 ? Math.max(GAP[layout.arrangement], 150) : 0;
  const longest = Math.max(...layout.banks.map((b) => b.cylinders.length));
  const stagger = layout.banks.length > 1 ? STAGGER : 0;
  const along = HEAD + longest * PITCH + stagger + 16;
  const across = 2 * EDGE + gap * (layout.banks.length - 1) + 40;
  const turn = (a: number, c: number) => (facing === "up" ? { x: c, y: a } : { x: a, y: across - c });
  const placed: Placed = {
    width: facing === "up" ? across : along,
    height: facing === "up" ? along : across,
    valves: [],
    bores: [],
    banks: [],
  };
  layout.banks.forEach((bank, b) => {
    const c = EDGE + 20 + gap * b;
    const shift = HEAD + PITCH / 2 + (b % 2 === 1 ? stagger : 0);
    const outward = layout.banks.length > 1 && b === 0 ? -1 : 1;
    bank.cylinders.forEach((cylinder, i) => {
      const a = shift + i * PITCH;
      placed.bores.push({ cylinder, r: BORE, ...turn(a, c) });
      placed.valves.push(...valvesOf(bank.valves, cylinder, a, c, outward, turn));
    });
    const from = turn(HEAD - 10, c);
    const to = turn(along - 8, c);
    placed.banks.push({ name: bank.name, ...turn(HEAD - 22, c), line: [from.x, from.y, to.x, to.y] });
  });
  return placed;
}

function valvesOf(
  all: Valve[],
  cylinder: number,
  a: number,
  c: number,
  outward: number,
  turn: (a: number, c: number) => { x: number; y: number },
): PlacedValve[] {
  const own = all.filter((v) => cylinderOf(v) === cylinder);
  const twoRows = own.length > 2;
  return own.map((valve, i) => {
    const intake = kindOf(valve) === "INTAKE";
    const row = own.filter((v) => kindOf(v) === kindOf(valve));
    const at = twoRows ? row.indexOf(valve) : i;
    const inRow = twoRows ? row.length : own.length;
    const da = (at - (inRow - 1) / 2) * (twoRows ? 46 : 50);
    const dc = twoRows ? (intake ? -outward : outward) * 23 : 0;
    const p = turn(a + da, c + dc);
    const name = turn(a + da, c + (twoRows && intake ? -outward : outward) * (BORE + 17));
    const r = twoRows ? (intake ? 20 : 17) : intake ? 24 : 20;
    return { valve, intake, cylinder, r, x: p.x, y: p.y, nameX: name.x, nameY: name.y };
  });
}
