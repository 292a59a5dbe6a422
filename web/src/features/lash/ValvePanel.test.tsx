// @vitest-environment happy-dom

import { cleanup, fireEvent, render, screen } from "@testing-library/react";
import { useState } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Contents, Parcel } from "../../outbox/parcel";
import { SettingsProvider } from "../../shell/settings";
import { nth } from "../../ui/nth";
import { ofRound, withWaiting } from "./overlay";
import { type Act, EMPTY_HAND, type Hand, isThere, step } from "./roundFlow";
import { FakeRound } from "./testRound";
import { ValvePanel } from "./ValvePanel";

const discarded: string[] = [];
const posted: Contents[] = [];
vi.mock("../../outbox/outbox", () => ({
  discard: (key: string) => discarded.push(key),
  post: (...c: Contents[]) => posted.push(...c),
}));

/** A technician at the panel, with what was kept beside it. */
class Person {
  kept: Contents[] = [];
  held: Parcel[] = [];
  shim: FakeRound;

  constructor(leaves = false) {
    this.shim = new FakeRound(4, leaves);
    render(<Panel of={this} />, { wrapper: SettingsProvider });
  }
  box = () => screen.getByLabelText<HTMLInputElement>(/^As |^Done/);
  label = () => this.box().labels?.[0]?.textContent ?? "";
  types(text: string) {
    fireEvent.change(this.box(), { target: { value: text } });
  }
  key(key: string) {
    fireEvent.keyDown(this.box(), { key });
  }
  enters(text: string) {
    if (text !== "") this.types(text);
    this.key("Enter");
  }
  record() {
    for (const c of this.kept) this.shim.take(c);
    return this.shim.record();
  }
}

function Panel({ of }: { of: Person }) {
  const [hand, setHand] = useState<Hand>(EMPTY_HAND);
  const asParcels = [
    ...of.kept.map((c, i) => ({ ...c, key: `k${i}`, at: "", tried: 0, held: false })),
    ...of.held,
  ] as Parcel[];
  const parcels = ofRound(asParcels, "r");
  const round = withWaiting(of.shim.view(), parcels);
  const valve = nth(round.valves, hand.at);
  let ids = of.kept.length;
  const act = (what: Act) => {
    const ground = { hand: "KV", unit: "thou" as const, newId: () => `id${++ids}`, now: () => "" };
    const out = step(hand, what, round, ground);
    of.kept.push(...out.keep);
    setHand(out.hand);
  };
  return (
    <ValvePanel
      round={round}
      valve={valve}
      inHand={hand}
      parcels={parcels}
      there={isThere(round, valve)}
      act={act}
      onPassed={() => act({ do: "move", by: 0 })}
      onMove={(by) => act({ do: "move", by })}
    />
  );
}

beforeEach(() => {
  localStorage.clear();
  discarded.length = 0;
  posted.length = 0;
  vi.stubGlobal("matchMedia", () => ({ matches: false, addEventListener() {}, removeEventListener() {} }));
});
afterEach(cleanup);

describe("the panel of one valve", () => {
  it("keeps its box, and the cursor in it, from valve to valve", () => {
    const kv = new Person();
    const before = kv.box();
    kv.enters("");
    kv.enters("22");
    kv.enters("18");
    expect(screen.getByRole("heading", { level: 2 }).textContent).toBe("1E");
    expect(kv.box()).toBe(before);
    expect(document.activeElement).toBe(before);
    expect(kv.record()).toBe("1I 22/18 | 1E - | 2I - | 2E -");
  });

  it("says in or out at once, before any answer", () => {
    const kv = new Person();
    kv.enters("");
    kv.enters("22");
    expect(kv.label()).toContain("As left");
    expect(screen.getByText("wide", { exact: false })).toBeTruthy();
    expect(screen.getByText(/What to do comes with Shim's answer/)).toBeTruthy();
  });

  it("asks twice before something out of tolerance is left so", () => {
    const kv = new Person();
    kv.enters("");
    kv.enters("25");
    kv.enters("");
    expect(screen.getByText(/outside its tolerance/)).toBeTruthy();
    kv.enters("");
    expect(kv.record()).toContain("1I 25/same");
  });

  it("keeps what is no reading in the box, with its reason", () => {
    const kv = new Person();
    kv.enters("18+");
    expect(kv.box().value).toBe("18+");
    expect(screen.getByRole("alert").textContent).toContain("try the next leaf");
  });

  it("takes letters only while the box is empty", () => {
    const kv = new Person();
    kv.key("s");
    expect(kv.kept.map((c) => c.kind)).toEqual(["look"]);
    kv.types("1");
    kv.key("k");
    expect(kv.kept).toHaveLength(1);
    kv.types("");
    kv.key("k");
    expect(kv.record()).toContain("1I - put off");
  });

  it("shows the valve that the house rule has passed, and goes back to set it", () => {
    const kv = new Person(true);
    kv.enters("18");
    expect(screen.getByText("✓ in, left as found")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: /Set it anyway/ }));
    expect(screen.getByRole("heading", { level: 2 }).textContent).toBe("1I");
    kv.enters("17");
    expect(kv.record()).toContain("1I 18/17");
  });
});

describe("a figure that Shim did not take", () => {
  const held = (status: number, words: string): Parcel => ({
    kind: "reading",
    roundId: "r",
    readingId: "mine",
    body: { valve: "1I", phase: "FOUND", form: "FIGURE", figure: 0.02, typed: "20", hand: "KV" },
    key: "held",
    at: "",
    tried: 1,
    held: true,
    last: { status, words },
  });

  function withHeld(parcel: Parcel): Person {
    const kv = new Person();
    kv.held = [parcel];
    kv.types("2");
    return kv;
  }

  it("is shown with its reason beside what is typed now, which stays", () => {
    const kv = withHeld(held(422, "a lash of 20 in cannot be"));
    expect(screen.getByText(/a lash of 20 in cannot be/)).toBeTruthy();
    expect(kv.box().value).toBe("2");
    fireEvent.click(screen.getByRole("button", { name: "Discard it" }));
    expect(discarded).toEqual(["held"]);
    expect(kv.box().value).toBe("2");
  });

  it("of two hands asks with both figures; mine goes as a correction of theirs", () => {
    const kv = new Person();
    kv.shim.other("1I", 0.022, "MO");
    kv.held = [held(409, "another hand")];
    kv.types("2");
    const notice = screen.getByRole("alert").textContent ?? "";
    expect(notice).toContain("MO has entered 22");
    expect(notice).toContain("you read 20");
    fireEvent.click(screen.getByRole("button", { name: "Put mine in its place" }));
    expect(discarded).toEqual(["held"]);
    expect(posted).toMatchObject([{ readingId: "other-1I", body: { typed: "20", basedOn: 0 } }]);
  });
});
