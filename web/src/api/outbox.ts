import { ApiProblem, answered, api, type Schemas, type Valve } from "./client";

type RoundView = Schemas["RoundView"];
type SpringTestView = Schemas["SpringTestView"];

/** Something entered at a lash round, on its way to Shim. */
export type RoundParcel =
  | { kind: "reading"; roundId: string; readingId: string; body: Schemas["ReadingEntry"] }
  | { kind: "look"; roundId: string; valve: Valve; body: Schemas["ValveLook"] };

/** Something entered at a spring test, on its way to Shim. */
export type TestParcel = { kind: "load"; testId: string; readingId: string; body: Schemas["LoadEntry"] };

/** Something seen at a valve, a cylinder or the engine, on its way to Shim. */
export type SeenParcel = { kind: "seen"; findingId: string; body: Schemas["FindingSeen"] };

/** It survives a closed page and a stopped Shim. */
export type Parcel = RoundParcel | TestParcel | SeenParcel;

const KEY = "shim.outbox";

export function waiting(): Parcel[] {
  return JSON.parse(localStorage.getItem(KEY) ?? "[]") as Parcel[];
}

export const waitingRounds = () =>
  waiting().filter((p): p is RoundParcel => p.kind === "reading" || p.kind === "look");
export const waitingTests = () => waiting().filter((p): p is TestParcel => p.kind === "load");
export const waitingSeen = () => waiting().filter((p): p is SeenParcel => p.kind === "seen");

function store(parcels: Parcel[]) {
  localStorage.setItem(KEY, JSON.stringify(parcels));
}

function name(p: Parcel): string {
  switch (p.kind) {
    case "reading":
      return `${p.roundId}/${p.readingId}`;
    case "look":
      return `${p.roundId}/${p.valve}`;
    case "load":
      return `${p.testId}/${p.readingId}`;
    case "seen":
      return p.findingId;
  }
}

/** A later parcel for the same thing takes the place of the earlier one. */
export function post(parcel: Parcel) {
  store([...waiting().filter((p) => name(p) !== name(parcel)), parcel]);
}

function take(parcel: Parcel) {
  store(waiting().filter((p) => name(p) !== name(parcel)));
}

/**
 * Delivers one parcel. It leaves the outbox when Shim has it, or has said why it cannot take it; when
 * Shim does not answer it stays.
 */
export function deliver(parcel: RoundParcel): Promise<RoundView>;
export function deliver(parcel: TestParcel): Promise<SpringTestView>;
export function deliver(parcel: SeenParcel): Promise<undefined>;
export async function deliver(parcel: Parcel): Promise<RoundView | SpringTestView | undefined> {
  post(parcel);
  try {
    const answer = await put(parcel);
    take(parcel);
    return answer;
  } catch (e) {
    if (!(e instanceof ApiProblem && e.offline)) take(parcel);
    throw e;
  }
}

function put(p: Parcel): Promise<RoundView | SpringTestView | undefined> {
  switch (p.kind) {
    case "reading":
      return answered(
        api.PUT("/api/rounds/{id}/readings/{readingId}", {
          params: { path: { id: p.roundId, readingId: p.readingId } },
          body: p.body,
        }),
      );
    case "look":
      return answered(
        api.PUT("/api/rounds/{id}/valves/{valve}", {
          params: { path: { id: p.roundId, valve: p.valve } },
          body: p.body,
        }),
      );
    case "load":
      return answered(
        api.PUT("/api/spring-tests/{id}/readings/{readingId}", {
          params: { path: { id: p.testId, readingId: p.readingId } },
          body: p.body,
        }),
      );
    case "seen":
      return answered(
        api.PUT("/api/inspections/{id}", { params: { path: { id: p.findingId } }, body: p.body }),
      );
  }
}
