import { render } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import { Below } from "./Below";

it("is drawn after the frame in which the rest was shown", async () => {
  const frames: FrameRequestCallback[] = [];
  vi.stubGlobal("requestAnimationFrame", (f: FrameRequestCallback) => frames.push(f));
  vi.stubGlobal("cancelAnimationFrame", () => {});
  const page = render(
    <>
      <h1>3E</h1>
      <Below>
        <p>the worst first</p>
      </Below>
    </>,
  );
  expect(page.getByText("3E")).toBeTruthy();
  await new Promise((done) => setTimeout(done, 20));
  expect(page.queryByText("the worst first")).toBeNull();
  for (const frame of frames) frame(0);
  expect(page.queryByText("the worst first")).toBeNull();
  expect(await page.findByText("the worst first")).toBeTruthy();
  vi.unstubAllGlobals();
});
