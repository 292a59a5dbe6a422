import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { reasonWords } from "./words";

const reason = (
  code: Schemas["ReadinessReason"]["code"],
  over: Partial<Schemas["ReadinessReason"]> = {},
): Schemas["ReadinessReason"] => ({ code, area: "LASH", asks: "READY_BUT", positions: [], ...over });

const kept = (name: string) => ({ code: "KEPT", figures: {}, name });

describe("a reason in words", () => {
  it("names its valve and what its feature says", () => {
    expect(
      reasonWords(reason("SPRING_CHANGE", { positions: ["3E"], because: kept("loss 11 %") }), "thou"),
    ).toBe("3E's spring: loss 11 %");
    expect(
      reasonWords(
        reason("LASH_MOVES", { positions: ["5E"], because: kept("opening 2 thou an hour") }),
        "thou",
      ),
    ).toBe("5E's lash: opening 2 thou an hour; find out why");
    expect(reasonWords(reason("OPEN_JOB", { because: kept("3E: spring change is open") }), "thou")).toContain(
      "is open",
    );
  });

  it("gives hours to a tenth", () => {
    expect(reasonWords(reason("RAN_SINCE_ROUND", { hours: 1.25 }), "thou")).toContain("1.3 h");
  });

  it("names six valves and counts the rest", () => {
    const eight = ["1I", "1E", "2I", "2E", "3I", "3E", "4I", "4E"];
    expect(reasonWords(reason("LIFTERS_WATCH", { positions: eight }), "thou")).toBe(
      "lifters to watch: 1I, 1E, 2I, 2E, 3I, 3E and 2 more",
    );
    expect(reasonWords(reason("SPRINGS_WATCH", { positions: eight.slice(0, 6) }), "thou")).not.toContain(
      "more",
    );
  });
});
