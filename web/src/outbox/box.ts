import { nth } from "../ui/nth";
import { lastWordCounts, nameOf, type Parcel, type ParcelOf, streamOf } from "./parcel";

/**
 * What waits on this device, in the order it was entered; pure. Only two things end a parcel: Shim
 * has taken it, or a person has discarded it.
 */
export type Box = readonly Parcel[];

export interface Answer {
  status: number;
  words: string;
}

/** Puts one more in. It takes the place of an earlier word on the same thing where that is safe. */
export function put(box: Box, parcel: Parcel, onTheWay: ReadonlySet<string>): Box {
  if (parcel.kind === "unread" || parcel.kind === "unload" || parcel.kind === "unsee") {
    return takeBack(box, parcel, onTheWay);
  }
  const name = nameOf(parcel);
  const at = box.findLastIndex((p) => nameOf(p) === name);
  return at >= 0 && replaceable(box, at, onTheWay)
    ? box.map((p, i) => (i === at ? inPlaceOf(p, parcel) : p))
    : [...box, parcel];
}

/** A correction stands on what the one it replaces stood on. */
function inPlaceOf(before: Parcel, now: Parcel): Parcel {
  if (before.kind !== "reading" || now.kind !== "reading" || !now.follows) return now;
  return { ...now, follows: before.follows, body: { ...now.body, basedOn: before.body.basedOn } };
}

/** What never left this device is simply gone; what may have arrived is taken back behind it. */
function takeBack(
  box: Box,
  parcel: ParcelOf<"unread" | "unload" | "unsee">,
  onTheWay: ReadonlySet<string>,
): Box {
  const what = thingOf(parcel);
  const here = box.filter((p) => thingOf(p) === what);
  const gone = here.filter((p) => p.held || (p.tried === 0 && !onTheWay.has(p.key)));
  const rest = box.filter((p) => !gone.includes(p));
  const corrected = gone.some((p) => p.kind === "reading" && p.body.basedOn !== undefined);
  return parcel.known || corrected || gone.length < here.length ? [...rest, parcel] : rest;
}

/** The reading or finding a parcel is about. */
function thingOf(p: Parcel): string | undefined {
  if ("readingId" in p) return p.readingId;
  return p.kind === "seen" || p.kind === "unsee" || p.kind === "photo" ? p.findingId : undefined;
}

/** Refused, or never sent and nothing behind it: the later word may stand in its place. */
function replaceable(box: Box, at: number, onTheWay: ReadonlySet<string>): boolean {
  const p = nth(box, at);
  if (onTheWay.has(p.key)) return false;
  if (p.held) return true;
  const last = box.findLastIndex((q) => streamOf(q) === streamOf(p)) === at;
  return last && (p.tried === 0 || lastWordCounts(p));
}

/** Those whose turn it is: the first of each stream, unless it waits for a person or is on its way. */
export function due(box: Box, onTheWay: ReadonlySet<string>): Parcel[] {
  const seen = new Set<string>();
  return box.filter((p) => {
    const stream = streamOf(p);
    const first = !seen.has(stream);
    seen.add(stream);
    return first && !p.held && !onTheWay.has(p.key);
  });
}

/** What becomes of a parcel by the answer to it: tried again by itself, or held for a person. */
export function waitsForAPerson(status: number): boolean {
  const again = status === 0 || status === 401 || status === 403 || status >= 500;
  return !again && ![408, 423, 425, 429].includes(status);
}

export const sent = (box: Box, key: string): Box =>
  box.map((p) => (p.key === key ? { ...p, tried: p.tried + 1 } : p));

export const refused = (box: Box, key: string, last: Answer): Box =>
  box.map((p) => (p.key === key ? { ...p, last, held: waitsForAPerson(last.status) } : p));

/** Shim has it. A correction that waited for its version now knows it. */
export function taken(box: Box, key: string, version: (readingId: string) => number | undefined): Box {
  const gone = box.find((p) => p.key === key);
  return box
    .filter((p) => p.key !== key)
    .map((p) => {
      if (p.kind !== "reading" || !p.follows || gone?.kind !== "reading") return p;
      if (p.readingId !== gone.readingId) return p;
      const basedOn = version(p.readingId) ?? p.body.basedOn;
      return { ...p, follows: false, body: { ...p.body, basedOn } };
    });
}

/** A person lets go of one. */
export const discarded = (box: Box, key: string): Box => box.filter((p) => p.key !== key);

/** A person wants it tried as it is once more. */
export const retried = (box: Box, key: string): Box =>
  box.map((p) => (p.key === key ? { ...p, held: false } : p));
