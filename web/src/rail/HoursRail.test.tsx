// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import { HoursRail } from "./HoursRail";

afterEach(cleanup);

const hours = {
  hours: 2.4,
  past: [
    { event: "Quarry", on: "2026-11-20", fromHours: 0, toHours: 1.2 },
    { on: "2026-11-24", fromHours: 1.2, toHours: 2 },
  ],
  coming: [{ eventId: "e1", event: "Hill", on: "2026-12-10", fromHours: 2.4, toHours: 3.9 }],
};

function shown(predicts: boolean, at = hours, onMove?: (id: string, on: string) => void) {
  const looked: (number | null)[] = [];
  render(
    <HoursRail
      hours={at}
      rounds={[]}
      changes={[]}
      predicts={predicts}
      hour={null}
      onHour={(h) => looked.push(h)}
      onMove={onMove}
    />,
  );
  return looked;
}

describe("the hours rail", () => {
  it("says now as Shim does, whatever else is drawn", () => {
    shown(false);
    expect(screen.getByText("now 2.4 h")).toBeTruthy();
    expect(screen.queryByLabelText(/As predicted/)).toBeNull();
  });

  it("keeps the words of now inside when it is at the end of the rail", () => {
    shown(false);
    expect(screen.getByText("now 2.4 h").getAttribute("text-anchor")).toBe("start");
    cleanup();
    shown(false, { ...hours, hours: 3.9 });
    const now = screen.getByText("now 3.9 h");
    expect(now.getAttribute("text-anchor")).toBe("end");
    expect(Number(now.getAttribute("x"))).toBeLessThan(1240 - 16);
  });

  it("names what ran and what is planned, and leads to the end of a planned event", () => {
    const looked = shown(true);
    expect(screen.getByText("20 Nov Quarry")).toBeTruthy();
    fireEvent.click(screen.getByLabelText("As predicted for the end of Hill"));
    expect(looked).toEqual([3.9]);
  });

  it("puts an event on another day by the keys, and only when that is kept", () => {
    const kept: string[] = [];
    shown(false, hours, (id, on) => kept.push(`${id} ${on}`));
    const event = screen.getByLabelText("Day of Hill");
    fireEvent.keyDown(event, { key: "ArrowRight" });
    fireEvent.keyDown(event, { key: "PageUp" });
    expect(event.getAttribute("aria-valuetext")).toBe("Fri 18 Dec");
    fireEvent.keyDown(event, { key: "Escape" });
    fireEvent.keyDown(event, { key: "Enter" });
    expect(kept).toEqual([]);
    fireEvent.keyDown(event, { key: "ArrowLeft" });
    fireEvent.click(screen.getByText("Keep the day"));
    expect(kept).toEqual(["e1 2026-12-09"]);
  });

  it("lets events stand where nobody may move them", () => {
    shown(false);
    expect(screen.queryByLabelText("Day of Hill")).toBeNull();
  });
});
