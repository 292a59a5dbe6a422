import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import type { Parcel } from "../../outbox/parcel";
import { ofEngine, seenWithWaiting } from "./seenOverlay";

const look = {
  look: "WHEEL",
  title: "Wheel",
  unit: "",
  grades: [
    { word: "smooth", level: "GOOD", means: "as it should be", todo: "" },
    { word: "pitted", level: "BAD", means: "the surface goes", todo: "change it" },
  ],
} as unknown as Schemas["LookView"];
const label = { key: "k", at: "2026-05-01T10:00:00Z", tried: 0, held: false };
const seen = (findingId: string, grade: string, over: Partial<Parcel> = {}): Parcel =>
  ({
    kind: "seen",
    findingId,
    body: { engineId: "e", valve: "1I", look: "WHEEL", grade, engineHours: 3, hand: "KV" },
    ...label,
    ...over,
  }) as Parcel;
const view = (id: string): Schemas["SeenView"] =>
  ({ id, look: "WHEEL", valve: "1I", grade: "smooth", level: "GOOD" }) as Schemas["SeenView"];

describe("what was seen, with what waits over it", () => {
  it("shows a finding at once with the level of its grade", () => {
    const all = seenWithWaiting([], ofEngine([seen("a", "pitted")], "e"), [look]);
    expect(all).toMatchObject([{ id: "a", grade: "pitted", level: "BAD", todo: "change it" }]);
  });
  it("shows one that Shim has answered as Shim says it, once", () => {
    const all = seenWithWaiting([view("a")], ofEngine([seen("a", "pitted")], "e"), [look]);
    expect(all).toEqual([view("a")]);
  });
  it("leaves out what is taken back, and what Shim did not take", () => {
    const gone: Parcel = { kind: "unsee", findingId: "a", engineId: "e", known: true, ...label };
    expect(seenWithWaiting([view("a")], ofEngine([gone], "e"), [look])).toEqual([]);
    expect(seenWithWaiting([], ofEngine([seen("b", "pitted", { held: true })], "e"), [look])).toEqual([]);
  });
  it("knows nothing of another engine's", () => {
    expect(ofEngine([seen("a", "pitted")], "other")).toEqual([]);
  });
  it("a figure counts as looked at until Shim has graded it", () => {
    const figure = seen("c", "");
    if (figure.kind === "seen") figure.body = { ...figure.body, grade: undefined, figure: 6 };
    const [one] = seenWithWaiting([], ofEngine([figure], "e"), [look]);
    expect(one).toMatchObject({ figure: 6, grade: "on its way to Shim" });
  });
});
