// @vitest-environment happy-dom
import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it } from "vitest";
import { HoursRail } from "./HoursRail";

afterEach(cleanup);

const hours = {
  hours: 2.4,
  past: [
    { event: "Quarry", fromHours: 0, toHours: 1.2 },
    { fromHours: 1.2, toHours: 2 },
  ],
  coming: [{ event: "Hill", fromHours: 2.4, toHours: 3.9 }],
};

function shown(predicts: boolean, at = hours) {
  const looked: (number | null)[] = [];
  render(
    <HoursRail
      hours={at}
      rounds={[]}
      changes={[]}
      predicts={predicts}
      hour={null}
      onHour={(h) => looked.push(h)}
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
    expect(screen.getByText("Quarry")).toBeTruthy();
    fireEvent.click(screen.getByLabelText("As predicted for the end of Hill"));
    expect(looked).toEqual([3.9]);
  });
});
