// @vitest-environment happy-dom

import { cleanup, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { NextReading } from "../../plan/NextReading";
import { SettingsProvider } from "../../shell/settings";
import { Reasons } from "./Reasons";

beforeEach(() => vi.stubGlobal("matchMedia", () => ({ matches: false })));
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const paper = {
  firstHours: 6.1,
  firstLbf: 132.4,
  lastHours: 9.8,
  lastLbf: 118.1,
  lost: 0.108,
  lostCorrected: 0.094,
  change: false,
};
const drawn = (said: object) =>
  render(
    <SettingsProvider>
      <Reasons said={{ verdict: "WATCH", reasons: [], outlook: {}, ...said } as never} />
    </SettingsProvider>,
  );

it("a verdict stands beside what paper would have said", () => {
  drawn({ onPaper: paper, decides: 0.38 });
  screen.getByText(
    "On paper: 132.4 lbf at 6.1 h, 118.1 lbf at 9.8 h: 10.8 % lost, 9.4 % with the check spring: run",
  );
  screen.getByText("One more reading now has a 38 % chance to change this verdict");
});

it("what one more reading would hardly change is said so, and nothing of one never read", () => {
  drawn({ onPaper: { ...paper, change: true }, decides: 0.004 });
  screen.getByText(/with the check spring: change$/);
  screen.getByText("One more reading now would hardly change this verdict");
  cleanup();
  drawn({ outlook: undefined, decides: 0 });
  expect(screen.queryByText(/One more reading/)).toBeNull();
  expect(screen.queryByText(/On paper/)).toBeNull();
});

it("the reading worth most is one press away", () => {
  const chosen: string[] = [];
  render(<NextReading next={{ position: "3E", decides: 0.41 }} onValve={(v) => chosen.push(v)} />);
  screen.getByText("41 % chance that it changes the verdict");
  screen.getByRole("button", { name: "3E" }).click();
  expect(chosen).toEqual(["3E"]);
  cleanup();
  const { container } = render(<NextReading next={undefined} onValve={() => {}} />);
  expect(container.textContent).toBe("");
});
