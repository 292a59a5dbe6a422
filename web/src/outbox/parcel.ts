import * as v from "valibot";
import type { Schemas } from "../api/client";

/**
 * One thing entered on this device that Shim has not taken yet. Each kind is one call of the API,
 * under an id made here, so that sending it again changes nothing.
 */
const id = v.pipe(v.string(), v.nonEmpty());
const entry = <T>() => v.custom<T>((x) => typeof x === "object" && x !== null && !Array.isArray(x));

const contents = v.variant("kind", [
  v.object({
    kind: v.literal("reading"),
    roundId: id,
    readingId: id,
    /** It corrects a reading that waits itself: its version is known once that one is taken. */
    follows: v.optional(v.boolean()),
    body: entry<Schemas["ReadingEntry"]>(),
  }),
  v.object({
    kind: v.literal("unread"),
    roundId: id,
    readingId: id,
    valve: id,
    hand: v.string(),
    /** Shim has it for certain; else it may only wait here. */
    known: v.boolean(),
  }),
  v.object({ kind: v.literal("look"), roundId: id, valve: id, body: entry<Schemas["ValveLook"]>() }),
  v.object({ kind: v.literal("crank"), roundId: id, body: entry<Schemas["CrankNow"]>() }),
  v.object({ kind: v.literal("load"), testId: id, readingId: id, body: entry<Schemas["LoadEntry"]>() }),
  v.object({
    kind: v.literal("unload"),
    testId: id,
    readingId: id,
    valve: id,
    hand: v.string(),
    known: v.boolean(),
  }),
  v.object({ kind: v.literal("check"), testId: id, checkId: id, body: entry<Schemas["CheckEntry"]>() }),
  v.object({ kind: v.literal("seen"), findingId: id, body: entry<Schemas["FindingSeen"]>() }),
  /** The picture itself lies in the browser's database under the parcel's name. */
  v.object({ kind: v.literal("photo"), findingId: id, engineId: v.optional(id) }),
  v.object({ kind: v.literal("unsee"), findingId: id, engineId: id, known: v.boolean() }),
  v.object({ kind: v.literal("act"), jobId: id, actId: id, body: entry<Schemas["ActEntry"]>() }),
  v.object({ kind: v.literal("found"), jobId: id, findingId: id, body: entry<Schemas["FindingEntry"]>() }),
  v.object({ kind: v.literal("foundPhoto"), jobId: id, findingId: id }),
  v.object({
    kind: v.literal("camFigure"),
    engineId: id,
    sittingId: id,
    figureId: id,
    page: id,
    body: entry<Schemas["CamFigure"]>(),
  }),
  v.object({ kind: v.literal("figure"), headId: id, figureId: id, body: entry<Schemas["HeadFigure"]>() }),
]);

const answerOf = v.object({ status: v.number(), words: v.string() });

const label = v.object({
  key: id,
  at: v.string(),
  /** Times it was sent without Shim taking it. */
  tried: v.pipe(v.number(), v.integer(), v.minValue(0)),
  /** What came back the last time; `held` waits for a person, else it is sent again. */
  last: v.optional(answerOf),
  held: v.boolean(),
});

export const parcelSchema = v.intersect([contents, label]);
export type Contents = v.InferOutput<typeof contents>;
export type Parcel = v.InferOutput<typeof parcelSchema>;
export type ParcelOf<K extends Contents["kind"]> = Extract<Parcel, { kind: K }>;

/** The thing it is about: a later parcel with the same name is a later word on the same thing. */
export function nameOf(p: Contents): string {
  switch (p.kind) {
    case "reading":
      return `reading/${p.readingId}`;
    case "unread":
      return `unread/${p.readingId}`;
    case "look":
      return `look/${p.roundId}/${p.valve}`;
    case "crank":
      return `crank/${p.roundId}`;
    case "load":
      return `load/${p.readingId}`;
    case "unload":
      return `unload/${p.readingId}`;
    case "check":
      return `check/${p.checkId}`;
    case "seen":
    case "unsee":
    case "photo":
      return `${p.kind}/${p.findingId}`;
    case "act":
      return `act/${p.actId}`;
    case "found":
    case "foundPhoto":
      return `${p.kind}/${p.findingId}`;
    case "figure":
      return `figure/${p.figureId}`;
    case "camFigure":
      return `camFigure/${p.figureId}`;
  }
}

/** Parcels of one stream go strictly one after another, as they were entered. */
export function streamOf(p: Contents): string {
  switch (p.kind) {
    case "reading":
      return `round/${p.roundId}/${p.body.valve}`;
    case "unread":
    case "look":
      return `round/${p.roundId}/${p.valve}`;
    case "crank":
      return `round/${p.roundId}`;
    case "load":
      return `test/${p.testId}/${p.body.valve ?? p.body.springId}`;
    case "unload":
      return `test/${p.testId}/${p.valve}`;
    case "check":
      return `check/${p.checkId}`;
    case "seen":
    case "unsee":
    case "photo":
      return `finding/${p.findingId}`;
    case "act":
      return `job/${p.jobId}`;
    case "found":
    case "foundPhoto":
      return `job/${p.jobId}/${p.findingId}`;
    case "figure":
      return `head/${p.headId}`;
    case "camFigure":
      return `sitting/${p.sittingId}`;
  }
}

/** Sent again in place of an earlier one without harm, though that may have arrived. */
export const lastWordCounts = (p: Contents) => p.kind === "look" || p.kind === "crank";
