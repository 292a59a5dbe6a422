import { describe, expect, it } from "vitest";
import {
  allowed,
  bySupplier,
  byWay,
  type Due,
  type Kind,
  type Order,
  orderByWords,
  type Stock,
  toOrder,
  wayWords,
  wrongWords,
} from "./shelf";

const order = (more: Partial<Order["order"]>, over: Partial<Order> = {}): Order => ({
  id: "o",
  version: 0,
  order: { part: "cup", count: 2, state: "WANTED", measured: [], ...more },
  ...over,
});

const kind = (more: Partial<Kind> = {}): Kind => ({
  id: "k",
  sort: "PART",
  sheet: { name: "cup", engines: [], count: 0, take: 0, measures: [] },
  there: 0,
  singles: [],
  fitted: 4,
  coming: 0,
  expected: 0,
  wanted: 0,
  missing: 0,
  ...more,
});

const due = (more: Partial<Due> = {}): Due => ({
  engineId: "e",
  engine: "Hill V8",
  kindId: "k",
  positions: ["3E", "4I"],
  event: "Final",
  date: "2026-12-12",
  expected: true,
  lacking: 2,
  orderBy: "2026-12-04",
  order: "LATER",
  ...more,
});

const stock = (more: Partial<Stock>): Stock => ({
  today: "2026-11-30",
  kinds: [kind()],
  due: [],
  orders: [],
  ...more,
});

describe("the words of the parts room", () => {
  it("say that a part cannot come in time", () => {
    const late = order({}, { comes: "2026-12-09", tooLate: true });
    expect(wayWords(late)).toBe("ordered today it comes Wed 9 Dec; it cannot arrive before the truck");
    expect(byWay([late]).toOrder).toHaveLength(1);
    expect(orderByWords(due())).toBe("order by Fri 4 Dec");
    expect(orderByWords(due({ order: "TOO_LATE" }))).toContain("cannot arrive");
    expect(orderByWords(due({ order: "UNKNOWN", date: undefined }))).toBe("the event has no date");
  });

  it("say what a measure allows, and what was wrong, in the person's unit", () => {
    const bore = { what: "BORE", wanted: 0.57, below: 0, above: 0.002 } as const;
    expect(allowed(bore, "thou")).toBe("0.570 to 0.572 in");
    expect(allowed(bore, "mm")).toBe("14.48 to 14.53 mm");
    expect(allowed({ what: "LOAD", wanted: 220, below: 0, above: 0 }, "thou")).toBe("220.0 lbf");
    expect(wrongWords([{ what: "BORE", figure: 0.5695, found: "TOO_SMALL" }], "thou")).toBe(
      "bore 0.5695 in, too small",
    );
    expect(wrongWords([{ what: "BORE", figure: 0.571, found: "FITS" }], "thou")).toBe("");
  });
});

describe("what is to be ordered", () => {
  it("is what is expected to fall due and nobody has", () => {
    expect(toOrder(stock({ due: [due()] }))).toHaveLength(1);
    expect(toOrder(stock({ due: [due({ lacking: 0 })] }))).toEqual([]);
    expect(toOrder(stock({ due: [due({ expected: false })] }))).toEqual([]);
  });

  it("goes to its supplier in one piece", () => {
    const orders = [
      order({ supplier: "Quarry" }),
      order({}),
      order({ supplier: "Beck", state: "REFUSED" }),
      order({ supplier: "Beck", state: "ORDERED" }),
    ];
    expect(bySupplier(orders).map(([s, o]) => [s, o.length])).toEqual([
      ["Beck", 1],
      ["Quarry", 1],
      ["", 1],
    ]);
  });
});
