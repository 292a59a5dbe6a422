import { del, get, set } from "idb-keyval";
import { ApiProblem, answered, api, photoBody, type Schemas, type Valve } from "./client";

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

/** The photo of a finding; the picture itself lies in the browser's database under the parcel's name. */
export type PhotoParcel = { kind: "photo"; findingId: string };

/** It survives a closed page and a stopped Shim. */
export type Parcel = RoundParcel | TestParcel | SeenParcel | PhotoParcel;

const KEY = "shim.outbox";

export function waiting(): Parcel[] {
  return JSON.parse(localStorage.getItem(KEY) ?? "[]") as Parcel[];
}

export const waitingRounds = () =>
  waiting().filter((p): p is RoundParcel => p.kind === "reading" || p.kind === "look");
export const waitingTests = () => waiting().filter((p): p is TestParcel => p.kind === "load");
export const waitingSeen = () =>
  waiting().filter((p): p is SeenParcel | PhotoParcel => p.kind === "seen" || p.kind === "photo");

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
    case "photo":
      return `photo/${p.findingId}`;
  }
}

/** A later parcel for the same thing takes the place of the earlier one. */
export function post(parcel: Parcel) {
  store([...waiting().filter((p) => name(p) !== name(parcel)), parcel]);
}

/** Puts a photo by, to be sent after its finding. */
export async function postPhoto(findingId: string, photo: Blob): Promise<PhotoParcel> {
  const parcel: PhotoParcel = { kind: "photo", findingId };
  await set(name(parcel), photo);
  post(parcel);
  return parcel;
}

function take(parcel: Parcel) {
  if (parcel.kind === "photo") void del(name(parcel));
  store(waiting().filter((p) => name(p) !== name(parcel)));
}

/**
 * Delivers one parcel. It leaves the outbox when Shim has it, or has said why it cannot take it; when
 * Shim does not answer it stays.
 */
export function deliver(parcel: RoundParcel): Promise<RoundView>;
export function deliver(parcel: TestParcel): Promise<SpringTestView>;
export function deliver(parcel: SeenParcel | PhotoParcel): Promise<undefined>;
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
    case "photo":
      return putPhoto(p);
  }
}

async function putPhoto(p: PhotoParcel): Promise<undefined> {
  const photo = await get<Blob>(name(p));
  if (!photo) return;
  const path = { id: p.findingId };
  await answered(api.PUT("/api/inspections/{id}/photo", { params: { path }, ...photoBody(photo) }));
}
