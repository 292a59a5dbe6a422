import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { SettingsProvider } from "../../shell/settings";
import { Sliders } from "./Sliders";

afterEach(cleanup);

const NOTHING = { advanceDeg: 0, tighterIn: 0, raisesIn: 0 };

function sliders(live: Parameters<typeof Sliders>[0]["live"], hydraulic = false) {
  const onLive = vi.fn();
  render(
    <SettingsProvider>
      <Sliders live={live} onLive={onLive} hydraulic={hydraulic} ratios={{ intake: 1.6, exhaust: 1.55 }} />
    </SettingsProvider>,
  );
  return onLive;
}

describe("what may be moved on the bench", () => {
  it("says in words which way each was moved", () => {
    sliders({ advanceDeg: -2, tighterIn: 0.003, raisesIn: -0.01, ratioIntake: 1.7, ratioExhaust: 1.65 });
    for (const words of ["2° retarded", "3 tighter", "0.010 cut", "1.70 / 1.65"]) {
      expect(screen.getByText(words)).toBeTruthy();
    }
  });

  it("moves one at a time and both ratios together", () => {
    const onLive = sliders(NOTHING);
    fireEvent.change(screen.getByLabelText(/the cam is turned/), { target: { value: "4" } });
    expect(onLive).toHaveBeenLastCalledWith({ ...NOTHING, advanceDeg: 4 });
    fireEvent.change(screen.getByLabelText(/rocker ratio/), { target: { value: "0.1" } });
    const asked = onLive.mock.lastCall?.[0];
    expect(asked.ratioIntake).toBeCloseTo(1.7, 9);
    expect(asked.ratioExhaust).toBeCloseTo(1.65, 9);
  });

  it("goes back to how it is, and offers no lash where there is none", () => {
    const onLive = sliders({ ...NOTHING, advanceDeg: 4, ratioIntake: 1.7 }, true);
    expect(screen.queryByLabelText(/lash/)).toBeNull();
    fireEvent.click(screen.getByText("All as it is"));
    expect(onLive).toHaveBeenCalledWith(NOTHING);
  });
});
