import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import { ApiProblem, answered, api } from "../api/client";
import { useLongWork } from "./LongWork";

/** An import whose call is answered by the test's hand. */
let answer: (response: Response) => void;
let followedAs: string | null;
let far = { stage: "TAKING_IN", done: 12, all: 80, stops: true };
const asked: string[] = [];
/** Whether Shim refuses to stop, press by press. */
let refused: boolean[] = [];

const json = (body: unknown, status = 200, type = "application/json") =>
  new Response(JSON.stringify(body), { status, headers: { "Content-Type": type } });

vi.stubGlobal("fetch", async (request: Request) => {
  const path = new URL(request.url).pathname;
  if (path === "/api/backups") {
    followedAs = request.headers.get("Shim-Work");
    return new Promise<Response>((resolve, gone) => {
      answer = resolve;
      request.signal.addEventListener("abort", () => gone(new DOMException("cut", "AbortError")));
    });
  }
  asked.push(`${request.method} ${path}`);
  return request.method === "DELETE" && refused.shift() ? json({ detail: "not here" }, 409) : json(far);
});

function Import() {
  const work = useLongWork((_: undefined, headers, signal) =>
    answered(api.POST("/api/backups", { headers, signal })),
  );
  return (
    <>
      <button type="button" onClick={() => work.begin(undefined)}>
        Begin
      </button>
      {work.far}
      <output>{work.data?.name}</output>
      <p role="alert">{work.error?.message}</p>
    </>
  );
}

function begun() {
  const page = render(
    <QueryClientProvider client={new QueryClient()}>
      <Import />
    </QueryClientProvider>,
  );
  fireEvent.click(page.getByText("Begin"));
  return page;
}

afterEach(() => {
  cleanup();
  asked.length = 0;
  refused = [];
  far = { stage: "TAKING_IN", done: 12, all: 80, stops: true };
});

describe("long work", () => {
  it("says how far it is until it is done", async () => {
    const page = begun();
    expect(await page.findByText("12 of 80")).toBeTruthy();
    expect(page.getByLabelText("Entries are taken in").getAttribute("value")).toBe("12");
    expect(asked[0]).toBe(`GET /api/under-way/${followedAs}`);
    answer(json({ name: "all.zip", madeAt: "2026-12-01T07:00:00Z", bytes: 1 }));
    expect(await page.findByText("all.zip")).toBeTruthy();
    expect(page.queryByText("12 of 80")).toBeNull();
  });

  it("is stopped by a press, and that is no error", async () => {
    const page = begun();
    fireEvent.click(await page.findByText("Stop"));
    await waitFor(() => expect(asked).toContain(`DELETE /api/under-way/${followedAs}`));
    const stopped = { type: "urn:shim:stopped", detail: "stopped, as you asked: nothing was changed" };
    answer(json(stopped, 409, "application/problem+json"));
    expect(await page.findByText("Stopped. Nothing was changed.")).toBeTruthy();
    expect(page.getByRole("alert").textContent).toBe("");
  });

  it("sends no more of a file that Shim will not look at", async () => {
    far = { stage: "ARRIVING", done: 100_000, all: 8_000_000, stops: true };
    const page = begun();
    fireEvent.click(await page.findByText("Stop"));
    expect(await page.findByText("Stopped. Nothing was changed.")).toBeTruthy();
    expect(page.getByRole("alert").textContent).toBe("");
  });

  it("waits for Shim's word once the file is there: it may be over by then", async () => {
    const page = begun();
    fireEvent.click(await page.findByText("Stop"));
    await page.findByText("Stopping …");
    answer(json({ name: "all.zip", madeAt: "2026-12-01T07:00:00Z", bytes: 1 }));
    expect(await page.findByText("all.zip")).toBeTruthy();
    expect(page.queryByText("Stopped. Nothing was changed.")).toBeNull();
  });

  it("that has not come to Shim yet is stopped by another press", async () => {
    refused = [true];
    far = { stage: "WAITING", done: 0, all: 0, stops: true };
    const page = begun();
    fireEvent.click(await page.findByText("Stop"));
    await waitFor(() => expect(asked.filter((a) => a.startsWith("DELETE"))).toHaveLength(1));
    fireEvent.click(await page.findByText("Stop"));
    expect(await page.findByText("Stopped. Nothing was changed.")).toBeTruthy();
  });

  it("offers no stop where it must go through", async () => {
    far = { stage: "REPLACING", done: 0, all: 0, stops: false };
    const page = begun();
    expect(await page.findByText("From here on it goes through.")).toBeTruthy();
    expect(page.queryByText("Stop")).toBeNull();
    answer(json({ detail: "there is no room on the disk" }, 409, "application/problem+json"));
    expect(await page.findByText("there is no room on the disk")).toBeTruthy();
  });
});

it("a problem of another kind is not a stop", () => {
  expect(new ApiProblem("changed meanwhile", 409, [], "urn:shim:conflict").stopped).toBe(false);
  expect(new ApiProblem("changed meanwhile", 409, [], "urn:shim:conflict").conflict).toBe(true);
  expect(new ApiProblem("stopped", 409, [], "urn:shim:stopped").conflict).toBe(false);
});
