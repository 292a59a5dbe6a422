import { render } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { fetched, fetchTheRest, later, overTheLine } from "./later";

const Form = ({ of }: { of: string }) => <p>form of {of}</p>;
const never = async () => false;

describe("a part of the application over a line that drops", () => {
  it("comes as soon as the line is there again, and is asked for less and less often", async () => {
    const bring = vi
      .fn()
      .mockRejectedValueOnce("gone")
      .mockRejectedValueOnce("gone")
      .mockResolvedValue("part");
    const pauses: number[] = [];
    const pause = async (ms: number) => pauses.push(ms);
    expect(await overTheLine(bring, never, vi.fn(), pause)).toBe("part");
    expect(pauses).toEqual([1000, 2000]);
  });

  it("begins the page anew only where another build answers", async () => {
    const bring = vi
      .fn()
      .mockRejectedValueOnce("gone")
      .mockRejectedValueOnce("gone")
      .mockResolvedValue("part");
    const beginAnew = vi.fn();
    const isAnother = vi.fn().mockResolvedValueOnce(false).mockResolvedValueOnce(true);
    await overTheLine(bring, isAnother, beginAnew, async () => {});
    expect(beginAnew).toHaveBeenCalledTimes(1);
  });

  it("asks Shim which build it is, by the script the page was begun with", async () => {
    const ours = { src: `${location.origin}/assets/index-1.js` } as HTMLScriptElement;
    const script = vi.spyOn(document, "querySelector").mockReturnValue(ours);
    const bring = () => vi.fn().mockRejectedValueOnce("gone").mockResolvedValue("part");
    const beginAnew = vi.fn();
    const answer = vi.spyOn(globalThis, "fetch");
    answer.mockResolvedValueOnce(new Response('<script src="/assets/index-1.js">'));
    await overTheLine(bring(), undefined, beginAnew, async () => {});
    answer.mockRejectedValueOnce(new TypeError("no line"));
    await overTheLine(bring(), undefined, beginAnew, async () => {});
    expect(beginAnew).not.toHaveBeenCalled();
    answer.mockResolvedValueOnce(new Response('<script src="/assets/index-2.js">'));
    await overTheLine(bring(), undefined, beginAnew, async () => {});
    expect(beginAnew).toHaveBeenCalledTimes(1);
    answer.mockRestore();
    script.mockRestore();
  });

  it("is shown once it is there, and everything else comes when the page is at rest", async () => {
    const Late = later(async () => ({ Form }), "Form");
    const other = vi.fn().mockResolvedValue({});
    fetched(other);
    const page = render(<Late of="3E" />);
    expect(await page.findByText("form of 3E")).toBeTruthy();
    expect(other).not.toHaveBeenCalled();
    await fetchTheRest(async () => {});
    expect(other).toHaveBeenCalledTimes(1);
  });
});
