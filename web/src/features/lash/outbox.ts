import { ApiProblem, answered, api, type Schemas, type Valve } from "../../api/client";

/** Something entered at the car, on its way to Shim; it survives a closed page and a stopped Shim. */
export type Parcel =
  | { kind: "reading"; roundId: string; readingId: string; body: Schemas["ReadingEntry"] }
  | { kind: "look"; roundId: string; valve: Valve; body: Schemas["ValveLook"] };

const KEY = "shim.outbox";

export function waiting(): Parcel[] {
  return JSON.parse(localStorage.getItem(KEY) ?? "[]") as Parcel[];
}

function store(parcels: Parcel[]) {
  localStorage.setItem(KEY, JSON.stringify(parcels));
}

const name = (p: Parcel) => `${p.roundId}/${p.kind === "reading" ? p.readingId : p.valve}`;

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
export async function deliver(parcel: Parcel): Promise<Schemas["RoundView"]> {
  post(parcel);
  try {
    const round = await put(parcel);
    take(parcel);
    return round;
  } catch (e) {
    if (!(e instanceof ApiProblem && e.offline)) take(parcel);
    throw e;
  }
}

function put(p: Parcel): Promise<Schemas["RoundView"]> {
  return p.kind === "reading"
    ? answered(
        api.PUT("/api/rounds/{id}/readings/{readingId}", {
          params: { path: { id: p.roundId, readingId: p.readingId } },
          body: p.body,
        }),
      )
    : answered(
        api.PUT("/api/rounds/{id}/valves/{valve}", {
          params: { path: { id: p.roundId, valve: p.valve } },
          body: p.body,
        }),
      );
}
