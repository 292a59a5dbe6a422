import type { RoundChange } from "../../api/roundChange";
import type { Contents } from "../../outbox/parcel";
import { heardIn, judge, plain } from "./gauge";
import type { Round, ValveView } from "./useRound";

/** For tests: target 0.018 ± 0.002. */
export const GAUGE = { inFromIn: 0.016, inToIn: 0.02, plainFromIn: 0.0027, plainToIn: 0.045 };

type Reading = NonNullable<ValveView["found"]>;
interface Kept {
  found?: Reading;
  left?: Reading;
  skipped?: boolean;
}

/** For tests: Shim's own rules for one round, as the API's tests hold them. */
export class FakeRound {
  private kept = new Map<string, Kept>();
  private gone = new Set<string>();
  private changes = 0;
  private crankDeg: number | undefined;
  private names: string[];

  constructor(
    valves: number,
    private leavesWhatIsIn: boolean,
  ) {
    this.names = ["1I", "1E", "2I", "2E"].slice(0, valves);
  }

  /** Another device enters something. */
  other(valve: string, inch: number, hand: string) {
    const typed = String(Math.round(inch * 1000));
    this.kept.set(valve, { found: this.reading(`other-${valve}`, { figure: inch, typed, hand }, 0) });
    this.changes++;
  }

  private reading(id: string, over: Partial<Reading>, version: number): Reading {
    const entry = { form: "FIGURE" as const, hand: "", ...over };
    return { takenAt: "", ...entry, id, version, valueIn: over.valueIn ?? heardIn(entry, 0.001) };
  }

  take(p: Contents): RoundChange | { status: number; words: string } {
    switch (p.kind) {
      case "reading":
        return this.read(p);
      case "unread": {
        let of: string | undefined;
        for (const [valve, k] of this.kept) {
          if (k.found?.id === p.readingId) {
            if (k.left) return { status: 409, words: "left first" };
            k.found = undefined;
            of = valve;
          }
          if (k.left?.id === p.readingId) {
            k.left = undefined;
            of = valve;
          }
        }
        this.gone.add(p.readingId);
        if (of) this.changes++;
        return this.changed((v) => of === undefined || v === of);
      }
      case "look":
        this.at(p.valve).skipped = p.body.skipped;
        this.changes++;
        return this.changed((v) => v === p.valve);
      case "crank":
        this.crankDeg = p.body.crankDeg;
        break;
    }
    this.changes++;
    return this.changed(() => false);
  }

  private changed(of: (valve: string) => boolean): RoundChange {
    const valves = this.names.filter(of).map((v) => this.valve(v));
    return { id: "r", changes: this.changes, crankDeg: this.crankDeg, valves };
  }

  private at(valve: string): Kept {
    const known = this.kept.get(valve) ?? {};
    this.kept.set(valve, known);
    return known;
  }

  private read(p: Extract<Contents, { kind: "reading" }>): RoundChange | { status: number; words: string } {
    const { body } = p;
    const kept = this.at(body.valve);
    const place = body.phase === "FOUND" ? "found" : "left";
    const held = kept[place];
    if (this.gone.has(p.readingId)) return { status: 409, words: "taken back before" };
    if (body.phase === "LEFT" && !kept.found) return { status: 422, words: "found first" };
    const same = held?.id === p.readingId && held.form === body.form && held.typed === body.typed;
    if (same && held?.note === body.note) return this.changed((v) => v === body.valve);
    if (held && (held.id !== p.readingId || body.basedOn !== held.version)) {
      return { status: 409, words: "another hand" };
    }
    const valueIn = body.form === "SAME" ? kept.found?.valueIn : undefined;
    kept[place] = this.reading(p.readingId, { ...body, valueIn }, held ? held.version + 1 : 0);
    kept.skipped = false;
    this.changes++;
    return this.changed((v) => v === body.valve);
  }

  view(): Round {
    const valves = this.names.map((position) => this.valve(position));
    return {
      id: "r",
      changes: this.changes,
      crankDeg: this.crankDeg,
      feelerStepIn: 0.001,
      hydraulic: false,
      adjuster: "FULCRUM_NUT",
      leavesWhatIsIn: this.leavesWhatIsIn,
      trapsFound: [],
      trapsLeft: [],
      plan: { stops: [{ number: 1, crankDeg: 0 }] },
      valves,
      done: valves.filter((v) => v.status === "DONE").length,
    } as unknown as Round;
  }

  private valve(position: string): ValveView {
    const { found, left, skipped } = this.kept.get(position) ?? {};
    const latest = left ?? found;
    const far = latest?.valueIn !== undefined && !latest.note && !plain(GAUGE, latest.valueIn);
    return {
      position,
      stop: 1,
      slackDeg: 40,
      gauge: GAUGE,
      found,
      left,
      status: left ? "DONE" : skipped ? "SKIPPED" : found ? "FOUND" : "OPEN",
      foundVerdict: found?.valueIn === undefined ? undefined : judge(GAUGE, found.valueIn),
      leftVerdict: left?.valueIn === undefined ? undefined : judge(GAUGE, left.valueIn),
      ask: far ? { code: "KEPT", figures: {}, name: "sure?" } : undefined,
    };
  }

  /** What is on record, valve by valve. */
  record(): string {
    return this.names
      .map((n) => {
        const { found, left, skipped } = this.kept.get(n) ?? {};
        if (!found && !left) return `${n} -${skipped ? " put off" : ""}`;
        const sure = found?.note ? " it is so" : "";
        const after = left ? (left.form === "SAME" ? "same" : left.typed) : "-";
        return `${n} ${found?.typed}${sure}/${after}`;
      })
      .join(" | ");
  }
}
