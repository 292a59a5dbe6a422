// @vitest-environment happy-dom

import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { SettingsProvider } from "../../shell/settings";
import { LifterPart } from "./LifterPart";

const sent: { url: string; body: Record<string, unknown> }[] = [];

beforeEach(() => {
  sent.length = 0;
  vi.stubGlobal("matchMedia", () => ({ matches: false }));
  vi.stubGlobal("fetch", async (request: Request) => {
    sent.push({ url: request.url, body: await request.json() });
    return new Response(null, { status: 204 });
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const shelf = [{ id: "l9", mark: "R9", sinceRebuilt: 4 }];
const drawn = () =>
  render(
    <SettingsProvider>
      <QueryClientProvider client={new QueryClient()}>
        <LifterPart
          engineId="e"
          story={{ valve: { position: "3I" }, causes: [], lives: [] } as never}
          known={{ engineHours: 12.5, hydraulic: false, roller: true, shelf } as never}
        />
      </QueryClientProvider>
    </SettingsProvider>,
  );
const type = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const put = () => fireEvent.click(screen.getByRole("button", { name: "Put it in at 3I" }));

it("hours that cannot be read are said at their box, and no lifter is put in", async () => {
  drawn();
  type("Its mark", "R31");
  type("Hours it has run already", "12 or so");
  put();
  await screen.findByText('✕ "12 or so" cannot be read');
  expect(sent).toEqual([]);
  type("Hours it has run already", "12.25");
  put();
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({
    valve: "3I",
    fromHours: 12.5,
    lifter: { mark: "R31", kind: "ROLLER_SOLID", hoursBefore: 12.25 },
  });
});

it("one from the shelf goes in as it is on record, whatever was typed before", async () => {
  drawn();
  type("Hours it has run already", "?");
  type("From the shelf, or a new one", "l9");
  put();
  await waitFor(() => expect(sent).toHaveLength(1));
  expect(sent[0]?.body).toMatchObject({ lifterId: "l9" });
  expect(sent[0]?.body.lifter).toBeUndefined();
});
