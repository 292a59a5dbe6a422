import type { Schemas } from "../../api/client";

export type What = Schemas["HeadFigure"]["what"];
export type Head = Schemas["HeadView"];

interface Words {
  name: string;
  /** How it is taken. */
  how: string;
}

export const MEASURES: Record<What, Words> = {
  HEIGHT: { name: "Installed height", how: "plain locks, the usual retainer, nothing under the spring" },
  POCKET: { name: "Pocket diameter", how: "three times across; the widest counts" },
  SEAL_GAP: { name: "Retainer to seal", how: "valve closed, the same parts" },
  STEM: { name: "Stem diameter", how: "where the guide runs" },
  GUIDE_TOP: { name: "Play in the guide, top", how: "valve off its seat by about the lift" },
  GUIDE_BOTTOM: { name: "Play in the guide, port", how: "at the port's end" },
  SEAT_WIDTH: { name: "Seat width", how: "the lapped ring" },
  SEAT_SUNK: { name: "Valve sunk by", how: "since its seat was new" },
  VALVE_HEAD: { name: "Valve head", how: "its diameter" },
  MARGIN: { name: "Margin", how: "edge of the valve head" },
  VALVE_LENGTH: { name: "Valve length", how: "tip to face" },
  CHAMBER: { name: "Chamber volume", how: "plug and valves in" },
  DECK_CUT: { name: "Taken off the deck", how: "in all so far" },
  GASKET: { name: "Gasket, crushed", how: "its thickness" },
};

/** The order one goes round a bare head. */
export const ROUND = Object.keys(MEASURES) as What[];

/** What springs are chosen by. */
export const FOR_SPRINGS: What[] = ["HEIGHT", "POCKET", "SEAL_GAP"];

/** "1.948 to 1.966", or one figure where all agree. */
export function span(figures: number[], text: (v: number) => string): string {
  const least = text(Math.min(...figures));
  const most = text(Math.max(...figures));
  return least === most ? least : `${least} to ${most}`;
}

/** What is done with some heads next. */
export function nextOf(head: Head): "WALK" | "OFF" | "MEASURE" | "CHOOSE" | "PUT_ON" {
  if (head.jobs.some((j) => !j.endedAt)) return "WALK";
  if (head.on) return "OFF";
  const valves = head.layout.banks.reduce((n, b) => n + b.valves.length, 0);
  if (head.springs.length === valves) return "PUT_ON";
  return head.measures.some((m) => m.what === "HEIGHT" && m.missing > 0) ? "MEASURE" : "CHOOSE";
}
