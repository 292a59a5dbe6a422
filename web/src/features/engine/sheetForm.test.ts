import { describe, expect, it } from "vitest";
import { nth } from "../../ui/nth";
import { BLANK, toForm, toSheet } from "./sheetForm";

const sheet = {
  ...BLANK,
  name: "Six",
  layout: {
    arrangement: "INLINE" as const,
    firingOrder: "1-2",
    banks: [{ name: "h", cylinders: "1 2", valveOrder: "EIIE" }],
  },
  cam: { ...BLANK.cam, lashIntakeIn: 0.012, intake: [{ tappetLiftIn: 0.02, durationDeg: 252 }] },
};

describe("the sheet as typed", () => {
  it("comes back as it went in, in inches and in millimetres", () => {
    for (const unit of ["thou", "mm"] as const) {
      const back = toSheet(toForm(sheet, unit), unit).sheet;
      expect(back.cam?.lashIntakeIn).toBeCloseTo(0.012, 5);
      expect(back.cam?.intake?.[0]?.tappetLiftIn).toBeCloseTo(0.02, 5);
      expect(back.cam?.intake?.[0]?.durationDeg).toBe(252);
      expect(back.layout?.firingOrder).toBe("1-2");
    }
  });

  it("takes a decimal comma and says what is no number", () => {
    const form = toForm(sheet, "thou");
    form.cam.lashIntakeIn = "0,012";
    form.cam.lsaDeg = "abc";
    const { sheet: read, unreadable } = toSheet(form, "thou");
    expect(read.cam?.lashIntakeIn).toBe(0.012);
    expect(unreadable).toEqual([{ field: "cam.lsaDeg", message: '"abc" is not a number' }]);
  });

  it("keeps flags, class rules and the four events, and leaves blank what is blank", () => {
    const full = {
      ...sheet,
      drive: { ...BLANK.drive, fixingClampsHead: true, clampNote: "one at a time", partsIn: "9.78 9.79" },
      cam: { ...sheet.cam, events: { atTappetLiftIn: 0.015, ivoBtdcDeg: -4 } },
      use: { unit: "laps", boostPsi: 12, classRules: [{ rule: "preload above zero", source: "7.1" }] },
    };
    const back = toSheet(toForm(full, "thou"), "thou").sheet;
    expect(back.drive).toMatchObject({ fixingClampsHead: true, linkBars: false, partsIn: "9.78 9.79" });
    expect(back.cam?.events).toEqual({ atTappetLiftIn: 0.015, ivoBtdcDeg: -4 });
    expect(back.cam?.floorIntakeIn).toBeUndefined();
    expect(back.use).toMatchObject({ unit: "laps", boostPsi: 12 });
    expect(back.use?.classRules?.[0]?.rule).toBe("preload above zero");
  });

  it("carries what the bench measured untouched", () => {
    const bench = {
      teamLashIntakeIn: 0.014,
      intake: { on: "1I", startDeg: -20, stepDeg: 2, liftIn: [0, 0.1] },
    };
    const back = toSheet(toForm({ ...sheet, cam: { ...sheet.cam, bench } }, "mm"), "mm").sheet;
    expect(back.cam?.bench).toEqual(bench);
  });

  it("shows a rule that an older sheet does not know as it was done then", () => {
    const older = { ...sheet, rules: { hotCold: "FIXED" as const } };
    const form = toForm(older, "thou");
    expect(form.rules).toMatchObject({ hotCold: "FIXED", inTolerance: "ASK", school: "BEST_STOPS" });
  });

  it("drops an empty class rule and an untouched row of events", () => {
    const form = toForm(sheet, "thou");
    form.use.classRules = [{ rule: "  ", source: "", date: "", held: false }];
    const back = toSheet(form, "thou").sheet;
    expect(back.use?.classRules).toEqual([]);
    expect(back.cam?.events).toBeUndefined();
  });

  it("shows millimetres where the person works in them, and never converts degrees or turns", () => {
    const form = toForm({ ...sheet, drive: { ...BLANK.drive, preloadTurns: 0.5 } }, "mm");
    expect(form.cam.lashIntakeIn).toBe("0.3048");
    expect(nth(form.cam.intake, 0).durationDeg).toBe("252");
    expect(form.drive.preloadTurns).toBe("0.5");
  });
});
