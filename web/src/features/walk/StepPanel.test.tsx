// @vitest-environment happy-dom

import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { SettingsProvider } from "../../shell/settings";
import { StepPanel } from "./StepPanel";
import type { JobStep } from "./steps";
import { step } from "./testStep";

beforeEach(() => vi.stubGlobal("matchMedia", () => ({ matches: false })));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** A person at one step of a walk. */
function at(of: JobStep) {
  const done = vi.fn();
  const panel = (busy: boolean, refused?: string) => (
    <StepPanel step={of} number={2} of={9} busy={busy} refused={refused} sets="LASH" onDo={done} />
  );
  const { rerender } = render(panel(false), { wrapper: SettingsProvider });
  return { done, draw: (busy: boolean, refused?: string) => rerender(panel(busy, refused)) };
}

const doIt = () => screen.getByRole<HTMLButtonElement>("button", { name: /⏎/ });

describe("the keys of a step", () => {
  it("are its own when it comes, and again when what went before is in", () => {
    const { draw } = at(step("COMPRESS"));
    expect(document.activeElement).toBe(doIt());
    // A button that is disabled loses the keys.
    doIt().blur();
    draw(true);
    draw(false);
    expect(document.activeElement).toBe(doIt());
  });
  it("do nothing while what went before is on its way, and it is said", () => {
    const { done, draw } = at(step("COMPRESS"));
    draw(true);
    fireEvent.submit(screen.getByRole("form"));
    expect(done).not.toHaveBeenCalled();
    expect(screen.getByRole("status").textContent).toContain("On its way");
    draw(false);
    fireEvent.submit(screen.getByRole("form"));
    expect(done).toHaveBeenCalledOnce();
  });
  it("are in the box of a figure, also after a refusal", () => {
    const { done, draw } = at(step("HEIGHT"));
    const box = screen.getByRole<HTMLInputElement>("textbox");
    expect(document.activeElement).toBe(box);
    box.blur();
    draw(false, "that is no height");
    expect(document.activeElement).toBe(box);
    fireEvent.change(box, { target: { value: "x" } });
    fireEvent.submit(screen.getByRole("form"));
    expect(done).not.toHaveBeenCalled();
    expect(box.getAttribute("aria-invalid")).toBe("true");
  });
  it("keep a doubtful figure only when it is said once more", () => {
    const done = vi.fn();
    const doubt = (figure: number) => (figure > 0.1 ? "that is far from what is wanted" : undefined);
    render(
      <StepPanel step={step("LASH")} number={2} of={9} busy={false} sets="LASH" doubt={doubt} onDo={done} />,
      { wrapper: SettingsProvider },
    );
    const enter = (value: string) => {
      fireEvent.change(screen.getByRole("textbox"), { target: { value } });
      fireEvent.submit(screen.getByRole("form"));
    };
    enter("500");
    expect(done).not.toHaveBeenCalled();
    expect(screen.getByText(/far from what is wanted/)).toBeTruthy();
    enter("400");
    expect(done).not.toHaveBeenCalled();
    enter("400");
    expect(done).toHaveBeenCalledWith(0.4, "400");
  });
  it("wait until the cautions are read", () => {
    at(step("ACCEPT", { look: ["it can fly"] }));
    expect(doIt().disabled).toBe(true);
    fireEvent.click(screen.getByRole("checkbox"));
    expect(doIt().disabled).toBe(false);
  });
});

describe("where a spring that came out goes", () => {
  it.each([
    ["Out, to scrap ⏎", "SCRAP", "SCRAP"],
    ["Out, to go back in ⏎", "AGAIN", "AGAIN"],
    ["To the spares", "SCRAP", "SPARE"],
    ["Scrap: broken", "AGAIN", "BROKEN"],
  ])("is one press: %s", (name, proposed, said) => {
    const { done } = at(step("SPRING_OUT", { word: proposed }));
    fireEvent.click(screen.getByRole("button", { name }));
    expect(done).toHaveBeenCalledExactlyOnceWith(undefined, said);
  });
});

describe("whether a gap shows between the halves of a lock", () => {
  it.each([
    [/a gap shows/, "GAP"],
    ["No gap", "NO_GAP"],
  ])("is one press: %s", (name, said) => {
    const { done } = at(step("HOOK", { word: "GAP" }));
    fireEvent.click(screen.getByRole("button", { name }));
    expect(done).toHaveBeenCalledExactlyOnceWith(undefined, said);
  });
});
