import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { cleanup, fireEvent, render, screen, waitFor } from "@testing-library/react";
import { afterEach, describe, expect, it, vi } from "vitest";
import * as z from "zod";
import { ApiProblem } from "../api/client";
import { figure, needed } from "../units/boxes";
import { Choice } from "./Choice";
import { Check, Field } from "./Field";
import { useEntry } from "./useEntry";

const SCHEMA = z.object({
  hours: needed("a number of hours"),
  psi: figure(),
  scrap: z.boolean(),
  state: z.enum(["HOT", "COLD"]),
});

type Send = (read: z.output<typeof SCHEMA>) => Promise<string>;

interface FormProps {
  send: Send;
  kept?: (answer: string) => void;
  remember?: (typed: z.input<typeof SCHEMA>) => void;
}

function Form({ send, kept, remember }: FormProps) {
  const entry = useEntry({
    schema: SCHEMA,
    first: { hours: "10.1", psi: "", scrap: false, state: "COLD" as const },
    send,
    kept,
    remember,
    fields: { hours: "removal.toHours" },
    elsewhere: ["hand"],
    shown: (typed) => (typed.state === "COLD" ? typed : { ...typed, psi: "" }),
  });
  return (
    <form aria-label="entry" onSubmit={entry.submit}>
      <Field label="Hours" {...entry.box("hours")} />
      <Field label="Air" {...entry.box("psi")} />
      <Check label="Scrap" {...entry.box("scrap")} />
      <Choice
        label="State"
        {...entry.choice("state")}
        options={[
          ["HOT", "hot"],
          ["COLD", "cold"],
        ]}
      />
      <p>trouble: {entry.trouble ?? "none"}</p>
      <p>initials: {entry.error("hand") ?? "fine"}</p>
      <p>{entry.kept ? "kept" : "open"}</p>
    </form>
  );
}

function show(send: Send, kept?: FormProps["kept"], remember?: FormProps["remember"]) {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Form send={send} kept={kept} remember={remember} />
    </QueryClientProvider>,
  );
}

const type = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const submit = () => fireEvent.submit(screen.getByRole("form", { name: "entry" }));

const refuses = (...errors: { field: string; message: string }[]) =>
  vi.fn<Send>().mockRejectedValue(new ApiProblem("look at the marked boxes", 422, errors));

afterEach(cleanup);

describe("a form", () => {
  it("sends what its boxes read, once", async () => {
    const send = vi.fn<Send>().mockResolvedValue("answer");
    const kept = vi.fn();
    show(send, kept);
    type("Hours", "12,5");
    fireEvent.click(screen.getByLabelText("Scrap"));
    fireEvent.click(screen.getByText("hot"));
    submit();
    await screen.findByText("kept");
    expect(send.mock.calls.map(([read]) => read)).toEqual([
      { hours: 12.5, psi: undefined, scrap: true, state: "HOT" },
    ]);
    expect(kept.mock.calls[0]?.[0]).toBe("answer");
  });

  it("sends nothing while a box cannot be read, and says which", async () => {
    const send = vi.fn<Send>().mockResolvedValue("answer");
    show(send);
    type("Hours", "");
    type("Air", "80 bar");
    submit();
    await screen.findByText(/"80 bar" cannot be read/);
    expect(screen.getByText(/a number of hours/)).toBeTruthy();
    expect(send).not.toHaveBeenCalled();
    expect(screen.getByLabelText("Air")).toHaveProperty("value", "80 bar");
  });

  it("does not stumble over a box that is not shown", async () => {
    const send = vi.fn<Send>().mockResolvedValue("answer");
    show(send);
    type("Air", "80 bar");
    fireEvent.click(screen.getByText("hot"));
    submit();
    await screen.findByText("kept");
    expect(send.mock.calls[0]?.[0]).toMatchObject({ psi: undefined, state: "HOT" });
  });

  it("tells at once what was typed or chosen, to be kept for the next time", () => {
    const remember = vi.fn();
    show(vi.fn<Send>(), undefined, remember);
    expect(remember).not.toHaveBeenCalled();
    fireEvent.click(screen.getByText("hot"));
    expect(remember).toHaveBeenLastCalledWith(expect.objectContaining({ state: "HOT", psi: "" }));
    type("Air", "90");
    expect(remember).toHaveBeenLastCalledWith(expect.objectContaining({ psi: "90" }));
  });

  it("says a refusal at its box, by the name Shim has for it", async () => {
    show(
      refuses(
        { field: "removal.toHours", message: "later hours, please" },
        { field: "psi", message: "20 to 200" },
      ),
    );
    submit();
    await screen.findByText(/later hours, please/);
    expect(screen.getByText(/20 to 200/)).toBeTruthy();
    expect(screen.getByText("trouble: none")).toBeTruthy();
    expect(screen.getByText("open")).toBeTruthy();
  });

  it("leaves no refusal unsaid: the page's own at its place, the rest below", async () => {
    show(
      refuses({ field: "hand", message: "your initials" }, { field: "engineId", message: "no such engine" }),
    );
    submit();
    await screen.findByText("trouble: no such engine");
    expect(screen.getByText("initials: your initials")).toBeTruthy();
  });

  it("says in words that Shim could not be reached", async () => {
    show(vi.fn<Send>().mockRejectedValue(new Error("no connection to Shim")));
    submit();
    await waitFor(() => expect(screen.getByText("trouble: no connection to Shim")).toBeTruthy());
  });
});
