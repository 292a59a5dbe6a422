// @vitest-environment happy-dom
import { act, renderHook } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { useAnsweredSince, useAtHand } from "./useAtHand";

interface Known {
  first: string;
  answered: boolean;
}

const opened = (known: Known) =>
  renderHook(({ first, answered }: Known) => useAtHand(first, answered), { initialProps: known });

describe("an answer", () => {
  it("counts when it came after the page was opened, not when it was restored", () => {
    const page = renderHook(({ at }) => useAnsweredSince(at), { initialProps: { at: Date.now() - 1000 } });
    expect(page.result.current).toBe(false);
    page.rerender({ at: Date.now() + 1 });
    expect(page.result.current).toBe(true);
  });
});

describe("what is at hand", () => {
  it("follows what is known until Shim's own answer is here, then stays", () => {
    const page = opened({ first: "1E", answered: false });
    expect(page.result.current.shown).toBe("1E");
    page.rerender({ first: "1I", answered: false });
    expect(page.result.current.shown).toBe("1I");
    page.rerender({ first: "2E", answered: true });
    page.rerender({ first: "2I", answered: true });
    expect(page.result.current.shown).toBe("2E");
    expect(page.result.current.latest()).toBe("2E");
  });

  it("stays where something was begun, whatever the answer says", () => {
    const page = opened({ first: "1E", answered: false });
    act(() => page.result.current.put("1E"));
    page.rerender({ first: "2E", answered: true });
    expect(page.result.current.shown).toBe("1E");
  });

  it("knows what was put before it is drawn", () => {
    const page = opened({ first: "1E", answered: true });
    const before = page.result.current;
    act(() => {
      before.put("3I");
      expect(before.latest()).toBe("3I");
    });
    expect(page.result.current.shown).toBe("3I");
  });
});
