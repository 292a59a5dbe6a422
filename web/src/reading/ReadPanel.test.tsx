import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { SettingsProvider } from "../shell/settings";
import { ReadPanel } from "./ReadPanel";

afterEach(cleanup);

function panel(more: Partial<Parameters<typeof ReadPanel>[0]> = {}) {
  const did = { keep: vi.fn(), move: vi.fn(), back: vi.fn(), also: vi.fn() };
  render(
    <SettingsProvider>
      <ReadPanel
        place="1I"
        name="gap"
        how="push it on"
        of="INCH"
        taken={[0.1]}
        initials
        onKeep={did.keep}
        onMove={did.move}
        onBack={did.back}
        also={{ key: "n", words: "Not reached", onKeep: did.also }}
        signed
        {...more}
      />
    </SettingsProvider>,
  );
  const box = screen.getByLabelText("Reading, in") as HTMLInputElement;
  const type = (text: string) => fireEvent.change(box, { target: { value: text } });
  const key = (name: string) => fireEvent.keyDown(box, { key: name });
  return { ...did, box, type, key };
}

describe("the panel of a reading", () => {
  it("takes the keys, but not from another box that is being written in", () => {
    const elsewhere = document.body.appendChild(document.createElement("input"));
    const { box } = panel();
    expect(document.activeElement).toBe(box);
    cleanup();
    elsewhere.focus();
    panel();
    expect(document.activeElement).toBe(elsewhere);
    elsewhere.remove();
  });

  it("keeps a figure with Enter and empties its box", () => {
    const { keep, box, type, key } = panel();
    type("0.120");
    key("Enter");
    expect(keep).toHaveBeenCalledWith(0.12);
    expect(box.value).toBe("");
  });

  it("keeps it another way with the other key, but only when something is typed", () => {
    const { also, keep, type, key } = panel();
    key("n");
    expect(also).not.toHaveBeenCalled();
    type("0.03");
    key("n");
    expect(also).toHaveBeenCalledWith(0.03);
    expect(keep).not.toHaveBeenCalled();
  });

  it("says what is no figure, asks for initials, and keeps what was typed", () => {
    const { keep, box, type, key } = panel({ initials: false });
    type("abc");
    key("Enter");
    expect(screen.getByRole("alert").textContent).toContain('"abc" is no figure');
    type("0.12");
    key("Enter");
    expect(screen.getByRole("alert").textContent).toContain("initials");
    expect(box.value).toBe("0.12");
    expect(keep).not.toHaveBeenCalled();
  });

  it("moves, goes back and changes the side of TDC from an empty box", () => {
    const { move, back, box, key } = panel();
    key("Enter");
    key("ArrowLeft");
    key("u");
    expect(move.mock.calls).toEqual([[1], [-1]]);
    expect(back).toHaveBeenCalledOnce();
    fireEvent.click(screen.getByText("Other side of TDC (±)"));
    expect(box.value).toBe("-");
  });
});
