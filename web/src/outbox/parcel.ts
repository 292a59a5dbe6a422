import { z } from "zod";
import type { Schemas } from "../api/client";

/**
 * One thing entered on this device that Shim has not taken yet. Each kind is one call of the API,
 * under an id made here, so that sending it again changes nothing.
 */
const id = z.string().min(1);
const entry = <T>() => z.custom<T>((v) => typeof v === "object" && v !== null && !Array.isArray(v));

const contents = z.discriminatedUnion("kind", [
  z.object({
    kind: z.literal("reading"),
    roundId: id,
    readingId: id,
    /** It corrects a reading that waits itself: its version is known once that one is taken. */
    follows: z.boolean().optional(),
    body: entry<Schemas["ReadingEntry"]>(),
  }),
  z.object({
    kind: z.literal("unread"),
    roundId: id,
    readingId: id,
    valve: id,
    hand: z.string(),
    /** Shim has it for certain; else it may only wait here. */
    known: z.boolean(),
  }),
  z.object({ kind: z.literal("look"), roundId: id, valve: id, body: entry<Schemas["ValveLook"]>() }),
  z.object({ kind: z.literal("crank"), roundId: id, body: entry<Schemas["CrankNow"]>() }),
  z.object({ kind: z.literal("load"), testId: id, readingId: id, body: entry<Schemas["LoadEntry"]>() }),
  z.object({
    kind: z.literal("unload"),
    testId: id,
    readingId: id,
    valve: id,
    hand: z.string(),
    known: z.boolean(),
  }),
  z.object({ kind: z.literal("check"), testId: id, checkId: id, body: entry<Schemas["CheckEntry"]>() }),
  z.object({ kind: z.literal("seen"), findingId: id, body: entry<Schemas["FindingSeen"]>() }),
  /** The picture itself lies in the browser's database under the parcel's name. */
  z.object({ kind: z.literal("photo"), findingId: id, engineId: id.optional() }),
  z.object({ kind: z.literal("unsee"), findingId: id, engineId: id, known: z.boolean() }),
  z.object({ kind: z.literal("act"), jobId: id, actId: id, body: entry<Schemas["ActEntry"]>() }),
  z.object({ kind: z.literal("found"), jobId: id, findingId: id, body: entry<Schemas["FindingEntry"]>() }),
  z.object({ kind: z.literal("foundPhoto"), jobId: id, findingId: id }),
  z.object({
    kind: z.literal("camFigure"),
    engineId: id,
    sittingId: id,
    figureId: id,
    page: id,
    body: entry<Schemas["CamFigure"]>(),
  }),
  z.object({ kind: z.literal("figure"), headId: id, figureId: id, body: entry<Schemas["HeadFigure"]>() }),
]);

const answerOf = z.object({ status: z.number(), words: z.string() });

const label = z.object({
  key: id,
  at: z.string(),
  /** Times it was sent without Shim taking it. */
  tried: z.number().int().min(0),
  /** What came back the last time; `held` waits for a person, else it is sent again. */
  last: answerOf.optional(),
  held: z.boolean(),
});

export const parcelSchema = z.intersection(contents, label);
export type Contents = z.infer<typeof contents>;
export type Parcel = z.infer<typeof parcelSchema>;
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
