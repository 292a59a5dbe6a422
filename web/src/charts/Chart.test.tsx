// @vitest-environment happy-dom

import { act, cleanup, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { Chart, type Field, Level, Moment, pathOf } from "./Chart";

let resized: (width: number) => void;

beforeEach(() => {
  vi.stubGlobal(
    "ResizeObserver",
    class {
      constructor(tell: (entries: { contentRect: { width: number } }[]) => void) {
        resized = (width) => tell([{ contentRect: { width } }]);
      }
      observe() {}
      disconnect() {}
    },
  );
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const drawn = (draw: (field: Field) => React.ReactNode = () => null, axes = false) =>
  render(
    <Chart
      label="a chart"
      height={100}
      pad={{ l: 40, r: 10, t: 5, b: 25 }}
      x={[0, 10]}
      y={[0, 50]}
      first={350}
      axes={axes ? { yText: (t) => `${t} thou` } : undefined}
    >
      {draw}
    </Chart>,
  );

describe("the frame of a chart", () => {
  it("lays its scales between its edges and follows the width of its place", () => {
    const seen: number[][] = [];
    drawn(({ x, y }) => {
      seen.push([x(0), x(10), y(0), y(50)]);
      return null;
    });
    expect(seen.at(-1)).toEqual([40, 340, 75, 5]);
    act(() => resized(250));
    expect(seen.at(-1)).toEqual([40, 240, 75, 5]);
    expect(screen.getByRole("img", { name: "a chart" }).getAttribute("width")).toBe("250");
  });
  it("writes figures at its axes only where it is told to", () => {
    drawn();
    expect(screen.queryByText("5 h")).toBeNull();
    cleanup();
    drawn(undefined, true);
    expect(screen.getByText("4 h").getAttribute("x")).toBe("160");
    expect(screen.getByText("20 thou").getAttribute("y")).toBe("47");
  });
});

describe("what is drawn into it", () => {
  it("a level goes from edge to edge at its height, with its words", () => {
    const { container } = drawn((field) => <Level field={field} at={25} colour="red" words="limit" />);
    const line = container.querySelector("line");
    expect(["x1", "x2", "y1", "y2"].map((a) => line?.getAttribute(a))).toEqual(["40", "340", "40", "40"]);
    expect(screen.getByText("limit").getAttribute("y")).toBe("35");
  });
  it("a moment goes from the foot to the top", () => {
    const { container } = drawn((field) => <Moment field={field} at={5} colour="red" />);
    const line = container.querySelector("line");
    expect(["x1", "x2", "y1", "y2"].map((a) => line?.getAttribute(a))).toEqual(["190", "190", "5", "75"]);
  });
  it("a path goes through its points, and is nothing without any", () => {
    const at = (p: number) => p;
    expect(pathOf([1, 2, 3], at, (p) => 10 * p)).toBe("M1 10L2 20L3 30");
    expect(pathOf([], at, at)).toBe("");
  });
});
