import { set } from "idb-keyval";
import { ApiProblem, wordsOf } from "../api/client";
import * as boxes from "./box";
import { call, clearBeside, isRoundChange, type Reply } from "./calls";
import { type Contents, nameOf, type Parcel } from "./parcel";
import { isOurs, load, save, wrap } from "./store";

const AT_ONCE = 4;
const FIRST_PAUSE_MS = 700;
const LONGEST_PAUSE_MS = 8_000;

type Listener = () => void;
type Delivered = (parcel: Parcel, reply: Reply) => void;

let box: boxes.Box | undefined;
const onTheWay = new Set<string>();
const listeners = new Set<Listener>();
const receivers = new Set<Delivered>();
let pause = FIRST_PAUSE_MS;
let timer: ReturnType<typeof setTimeout> | undefined;
/** The last thing sent got no answer at all. */
let unheard = false;

/** What waits now; the same list until something changes. */
export function waiting(): boxes.Box {
  box ??= load();
  return box;
}

/** What lies in the browser counts: another tab may have put something in or sent it. */
function change(by: (box: boxes.Box) => boxes.Box) {
  const next = by(load());
  save(next);
  show(next);
}

function show(next: boxes.Box) {
  box = next;
  for (const tell of listeners) tell();
}

export function subscribe(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Told of everything that Shim takes, with its answer. */
export function onDelivered(receiver: Delivered): () => void {
  receivers.add(receiver);
  return () => receivers.delete(receiver);
}

/** Keeps what was entered on this device, then sends it; throws where the device has no room. */
export function post(...contents: Contents[]) {
  change((b) => contents.map(wrap).reduce((into, p) => boxes.put(into, p, onTheWay), b));
  kick();
}

/** Puts a photo by, to be sent after what it belongs to. */
export async function postPhoto(contents: Contents, photo: Blob) {
  await set(nameOf(contents), photo);
  post(contents);
}

/**
 * Waits until nothing of this is on its way any more: what ends a round or a test must come after all
 * that was entered in it. Something that was not taken has to be settled by a person first.
 */
export function whenAllSent(mine: (parcel: Parcel) => boolean): Promise<void> {
  return new Promise((done, fail) => {
    const look = () => {
      const open = waiting().filter(mine);
      const held = open.find((p) => p.held);
      if (open.length > 0 && !held) return;
      stop();
      if (held) fail(new Error(`not yet: something entered here was not taken: ${held.last?.words}`));
      else done();
    };
    const stop = subscribe(look);
    look();
  });
}

/** A person lets go of something that waits. */
export function discard(key: string) {
  const gone = waiting().find((p) => p.key === key);
  if (gone) clearBeside(gone);
  change((b) => boxes.discarded(b, key));
  kick();
}

/** A person wants it tried again as it is. */
export function tryAgain(key: string) {
  change((b) => boxes.retried(b, key));
  kick();
}

/** Takes over what another device handed on. */
export function takeOver(parcels: readonly Parcel[]) {
  change((b) => [...b, ...parcels.filter((p) => !b.some((q) => q.key === p.key))]);
  kick();
}

/** Sends what is due now, without waiting for the pause to end. */
export function kick() {
  pause = FIRST_PAUSE_MS;
  work();
}

/** Shim has answered another question: what got no answer need not sit out its pause. */
export function heardFromShim() {
  if (timer !== undefined && unheard) kick();
}

function work() {
  clearTimeout(timer);
  timer = undefined;
  for (const parcel of boxes.due(waiting(), onTheWay)) {
    if (onTheWay.size >= AT_ONCE) return;
    void send(parcel);
  }
}

async function send(parcel: Parcel) {
  onTheWay.add(parcel.key);
  try {
    change((b) => boxes.sent(b, parcel.key));
    const reply = await call(parcel);
    // On its way until it is out of the box: whoever is told may already look at what is due.
    for (const tell of receivers) tell(parcel, reply);
    change((b) => boxes.taken(b, parcel.key, (id) => versionIn(reply, id)));
    onTheWay.delete(parcel.key);
    clearBeside(parcel);
    pause = FIRST_PAUSE_MS;
    work();
  } catch (e) {
    onTheWay.delete(parcel.key);
    const status = e instanceof ApiProblem ? e.status : 0;
    unheard = status === 0;
    const words = status === 401 || status === 403 ? WANTS_ITS_KEY : (wordsOf(e) ?? "");
    tryToKeep(() => change((b) => boxes.refused(b, parcel.key, { status, words })));
    if (boxes.waitsForAPerson(status)) work();
    else rest();
  }
}

const WANTS_ITS_KEY = "Shim wants its key: open it once more with the address the launcher printed";

/** Losing the note of an answer loses nothing that was entered. */
function tryToKeep(note: () => void) {
  try {
    note();
  } catch {
    show(load());
  }
}

function rest() {
  if (timer !== undefined) return;
  timer = setTimeout(work, pause);
  pause = Math.min(LONGEST_PAUSE_MS, pause * 2);
}

/** Only a round's answer holds readings with versions. */
function versionIn(reply: Reply, readingId: string): number | undefined {
  if (!reply || !isRoundChange(reply)) return undefined;
  const readings = reply.valves.flatMap((v) => [v.found, v.left]);
  return readings.find((r) => r?.id === readingId)?.version;
}

/** Goes on sending on whatever page, and at once when the network or the page comes back. */
export function startSending() {
  addEventListener("online", kick);
  addEventListener("storage", (e) => isOurs(e) && show(load()));
  document.addEventListener("visibilitychange", () => document.visibilityState === "visible" && kick());
  kick();
}

/** For tests: as a page just opened. */
export function reopen() {
  clearTimeout(timer);
  timer = undefined;
  onTheWay.clear();
  listeners.clear();
  receivers.clear();
  unheard = false;
  pause = FIRST_PAUSE_MS;
  box = undefined;
}
