import { describe, expect, it } from "vitest";
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
      expect(back.cam?.intake?.[0].tappetLiftIn).toBeCloseTo(0.02, 5);
      expect(back.cam?.intake?.[0].durationDeg).toBe(252);
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
});
