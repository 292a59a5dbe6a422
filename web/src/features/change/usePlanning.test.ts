import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { asked, dueValves, shown, toggled } from "./usePlanning";

const springs = (...verdicts: [string, string][]) =>
  ({
    springs: verdicts.map(([position, verdict]) => ({ position, said: { verdict } })),
  }) as unknown as Schemas["EngineSprings"];

describe("what a change begins with", () => {
  it("has the valves whose springs are due, as they are usually done", () => {
    expect(dueValves(springs(["1I", "RUN"], ["3E", "CHANGE"], ["4I", "WATCH"]))).toEqual({
      "3E": asked("3E"),
    });
  });

  it("takes a valve on and off by one press, whatever was said of it", () => {
    const three = { ...asked("3E"), newSeal: true };
    expect(toggled({ "3E": three }, "1I")).toEqual({ "3E": three, "1I": asked("1I") });
    expect(toggled({ "3E": three }, "3E")).toEqual({});
  });

  it("reads no box that is not shown", () => {
    const typed = {
      hand: "KV",
      engineHours: "10",
      kind: "IN_CAR" as const,
      hold: "AIR" as const,
      state: "COLD" as const,
      psi: "80 bar",
      offDeg: "3",
      headIn: "2",
      fromDeg: "90",
      breakInHours: "1",
      intakeOff: false,
      innerOut: true,
    };
    expect(shown(typed)).toEqual(typed);
    expect(shown({ ...typed, hold: "PISTON" })).toMatchObject({
      psi: "",
      offDeg: "",
      headIn: "",
      fromDeg: "90",
    });
    expect(shown({ ...typed, kind: "HEADS_OFF" })).toMatchObject({ psi: "", fromDeg: "", breakInHours: "1" });
    expect(shown({ ...typed, innerOut: false })).toMatchObject({ breakInHours: "", psi: "80 bar" });
  });
});
