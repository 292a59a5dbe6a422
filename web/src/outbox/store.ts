import * as v from "valibot";
import { newId } from "../api/ids";
import type { Box } from "./box";
import { type Contents, type Parcel, parcelSchema } from "./parcel";

const KEY = "shim.outbox";
const SET_ASIDE = "shim.outbox.set-aside";

/** The browser has no room left for what was entered: it is not kept, and the person is told. */
export class NoRoom extends Error {
  constructor() {
    super("this device has no room to keep it: write it down, then make room");
    this.name = "NoRoom";
  }
}

/** As older versions of Shim kept a parcel. */
const older = v.looseObject({ kind: v.string() });

/** A fresh parcel around what was entered. */
export const wrap = (contents: Contents): Parcel => ({
  ...contents,
  key: newId(),
  at: new Date().toISOString(),
  tried: 0,
  held: false,
});

/**
 * What lies in the browser, checked when read. What cannot be read is set aside, never thrown away;
 * the rest goes on.
 */
export function load(): Box {
  const text = localStorage.getItem(KEY);
  if (text === null) return [];
  let found: unknown;
  try {
    found = JSON.parse(text);
  } catch {
    return setAside(text, []);
  }
  if (!Array.isArray(found)) return setAside(text, []);
  const good: Parcel[] = [];
  const bad: unknown[] = [];
  for (const one of found) {
    const parcel = read(one);
    if (parcel) good.push(parcel);
    else bad.push(one);
  }
  return bad.length > 0 ? setAside(JSON.stringify(bad), good) : good;
}

function read(one: unknown): Parcel | undefined {
  const whole = v.safeParse(parcelSchema, one);
  if (whole.success) return whole.output;
  const bare = v.safeParse(older, one);
  if (!bare.success || "key" in bare.output) return undefined;
  const wrapped = v.safeParse(parcelSchema, wrap(bare.output as unknown as Contents));
  return wrapped.success ? wrapped.output : undefined;
}

function setAside(text: string, rest: Parcel[]): Box {
  try {
    localStorage.setItem(SET_ASIDE, `${localStorage.getItem(SET_ASIDE) ?? ""}${text}\n`);
    save(rest);
  } catch {
    // Without room both stay where they are, and are looked at again the next time.
  }
  return rest;
}

/** What could not be read, as it was found; empty when all could. */
export const damaged = (): string => localStorage.getItem(SET_ASIDE) ?? "";
export const forgetDamaged = () => localStorage.removeItem(SET_ASIDE);

export function save(box: Box) {
  try {
    localStorage.setItem(KEY, JSON.stringify(box));
  } catch {
    throw new NoRoom();
  }
}

export const isOurs = (e: StorageEvent) => e.key === KEY;
