import { describe, expect, it } from "vitest";
import { changesSeen, type KnownRound, newest, type RoundChange, withChange } from "./roundChange";

type Valve = KnownRound["valves"][number];
const valve = (position: string, found?: string) =>
  ({ position, status: found ? "DONE" : "OPEN", found: found && { typed: found } }) as unknown as Valve;
const round = (changes: number, valves: Valve[], more: Partial<KnownRound> = {}) =>
  ({ changes, valves, done: 0, ...more }) as KnownRound;
const change = (changes: number, valves: Valve[], crankDeg?: number): RoundChange => ({
  id: "r",
  changes,
  valves,
  crankDeg,
});
const read = (r: KnownRound) => r.valves.map((v) => v.found?.typed ?? "-").join(" ");

const before = round(3, [valve("1I", "18"), valve("1E"), valve("2I")]);

describe("what an entry changed", () => {
  it("stands in the round, the rest as it was", () => {
    const now = withChange(before, change(4, [valve("1E", "20")], 90));
    expect(read(now)).toBe("18 20 -");
    expect(now.done).toBe(2);
    expect(now.crankDeg).toBe(90);
    expect(changesSeen(now)).toBe(4);
  });
  it("stands also where the answers come in another order than they were given", () => {
    const first = change(4, [valve("1E", "20")], 90);
    const second = change(5, [valve("2I", "21")], 180);
    for (const answers of [
      [first, second],
      [second, first],
    ]) {
      const now = answers.reduce(withChange, before);
      expect(read(now)).toBe("18 20 21");
      expect(now.crankDeg).toBe(180);
    }
  });
  it("gives way to what has seen more at the same valve", () => {
    const now = [change(6, [valve("1E", "22")]), change(4, [valve("1E", "20")])].reduce(withChange, before);
    expect(read(now)).toBe("18 22 -");
  });
  it("that says what the whole round has said already changes nothing", () => {
    expect(read(withChange(before, change(2, [valve("1I")])))).toBe("18 - -");
  });
});

describe("a whole answer", () => {
  it("that is older keeps what single answers said since", () => {
    const known = withChange(before, change(5, [valve("2I", "21")], 180));
    const asked = round(4, [valve("1I", "18"), valve("1E", "20"), valve("2I")], { crankDeg: 0, note: "n" });
    const now = newest(known, asked);
    expect(read(now)).toBe("18 20 21");
    expect(now.crankDeg).toBe(180);
    expect(now.note).toBe("n");
    expect(now.done).toBe(3);
    const whole = newest(now, round(5, [valve("1I", "18"), valve("1E", "20"), valve("2I", "21")]));
    expect(whole.ahead).toEqual({});
    expect(changesSeen(whole)).toBe(5);
  });
  it("that has seen less is left, one that has seen as much is taken", () => {
    expect(newest(before, round(2, [valve("1I"), valve("1E"), valve("2I")]))).toMatchObject({
      changes: 3,
      valves: before.valves,
    });
    const signed = round(3, before.valves, { signedBy: "KV" });
    expect(newest(before, signed).signedBy).toBe("KV");
  });
});
