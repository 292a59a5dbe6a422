import type { Schemas } from "../../api/client";
import type { Parcel, ParcelOf } from "../../outbox/parcel";

export type SeenParcel = ParcelOf<"seen" | "unsee" | "photo">;

export const ofEngine = (box: readonly Parcel[], engineId: string): SeenParcel[] =>
  box.filter(
    (p): p is SeenParcel =>
      (p.kind === "seen" && p.body.engineId === engineId) ||
      ((p.kind === "unsee" || p.kind === "photo") && p.engineId === engineId),
  );

/** What was seen as it stands for whoever looks: Shim's last answer and, over it, what waits. */
export function seenWithWaiting(
  seen: Schemas["SeenView"][],
  parcels: readonly SeenParcel[],
  looks: Schemas["LookView"][],
): Schemas["SeenView"][] {
  const all = new Map(seen.map((s) => [s.id, s]));
  for (const p of parcels) {
    if (p.held) continue;
    if (p.kind === "unsee") all.delete(p.findingId);
    if (p.kind === "seen" && !all.has(p.findingId)) all.set(p.findingId, waitingView(p, looks));
  }
  return [...all.values()];
}

/** Of a figure only Shim says how bad it is: until it has, it counts as looked at. */
function waitingView(p: ParcelOf<"seen">, looks: Schemas["LookView"][]): Schemas["SeenView"] {
  const { body } = p;
  const look = looks.find((l) => l.look === body.look);
  const grade = look?.grades.find((g) => g.word === body.grade);
  return {
    id: p.findingId,
    valve: body.valve,
    cylinder: body.cylinder,
    look: body.look,
    title: look?.title ?? "",
    grade: grade?.word ?? "on its way to Shim",
    level: grade?.level ?? "GOOD",
    means: grade?.means ?? "",
    todo: grade?.todo ?? "",
    figure: body.figure,
    otherSide: body.otherSide,
    liftIn: body.liftIn,
    unit: look?.unit ?? "",
    note: body.note,
    photo: false,
    engineHours: body.engineHours,
    hand: body.hand,
    seenAt: body.seenAt ?? p.at,
  };
}
