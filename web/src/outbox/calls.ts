import { del, get } from "idb-keyval";
import type { Schemas } from "../api/client";
import { ApiProblem, answered, api, photoBody } from "../api/client";
import type { RoundChange } from "../api/roundChange";
import { type Contents, nameOf } from "./parcel";

/** What Shim answers to a parcel; nothing where it only says that it has it. */
export type Reply =
  | RoundChange
  | Schemas["SpringTestView"]
  | Schemas["JobView"]
  | Schemas["HeadView"]
  | undefined;

export const isRoundChange = (reply: NonNullable<Reply>): reply is RoundChange =>
  "valves" in reply && !("engineId" in reply);

const USUAL_MS = 12_000;
const PHOTO_MS = 120_000;
/** Shim does not answer within this: as good as not at all, and tried again. */
const patience = (ms: number) => ({ signal: AbortSignal.timeout(ms) });

/** Sends one parcel. */
export function call(p: Contents): Promise<Reply> {
  switch (p.kind) {
    case "reading":
    case "unread":
    case "look":
    case "crank":
      return roundCall(p);
    case "load":
    case "unload":
    case "check":
      return testCall(p);
    case "seen":
    case "unsee":
    case "photo":
      return findingCall(p);
    case "act":
    case "found":
    case "foundPhoto":
      return jobCall(p);
    case "camFigure": {
      const path = { id: p.sittingId, readingId: p.figureId };
      return answered(
        api.PUT("/api/cam-sittings/{id}/readings/{readingId}", {
          params: { path },
          body: p.body,
          ...patience(USUAL_MS),
        }),
      ).then(() => undefined);
    }
    case "figure": {
      const path = { id: p.headId, readingId: p.figureId };
      return answered(
        api.PUT("/api/heads/{id}/readings/{readingId}", {
          params: { path },
          body: p.body,
          ...patience(USUAL_MS),
        }),
      );
    }
  }
}

type Kind<K extends Contents["kind"]> = Extract<Contents, { kind: K }>;

function roundCall(p: Kind<"reading" | "unread" | "look" | "crank">): Promise<Reply> {
  const id = p.roundId;
  const also = patience(USUAL_MS);
  switch (p.kind) {
    case "reading": {
      const path = { id, readingId: p.readingId };
      return answered(
        api.PUT("/api/rounds/{id}/readings/{readingId}", { params: { path }, body: p.body, ...also }),
      );
    }
    case "unread": {
      const params = { path: { id, readingId: p.readingId }, query: { hand: p.hand } };
      return answered(api.DELETE("/api/rounds/{id}/readings/{readingId}", { params, ...also }));
    }
    case "look": {
      const path = { id, valve: p.valve };
      return answered(
        api.PUT("/api/rounds/{id}/valves/{valve}", { params: { path }, body: p.body, ...also }),
      );
    }
    case "crank":
      return answered(api.PUT("/api/rounds/{id}/crank", { params: { path: { id } }, body: p.body, ...also }));
  }
}

function testCall(p: Kind<"load" | "unload" | "check">): Promise<Reply> {
  const id = p.testId;
  const also = patience(USUAL_MS);
  switch (p.kind) {
    case "load": {
      const path = { id, readingId: p.readingId };
      return answered(
        api.PUT("/api/spring-tests/{id}/readings/{readingId}", { params: { path }, body: p.body, ...also }),
      );
    }
    case "unload": {
      const params = { path: { id, readingId: p.readingId }, query: { hand: p.hand } };
      return answered(api.DELETE("/api/spring-tests/{id}/readings/{readingId}", { params, ...also }));
    }
    case "check": {
      const path = { id, checkId: p.checkId };
      return answered(
        api.PUT("/api/spring-tests/{id}/checks/{checkId}", { params: { path }, body: p.body, ...also }),
      );
    }
  }
}

async function findingCall(p: Kind<"seen" | "unsee" | "photo">): Promise<Reply> {
  const path = { id: p.findingId };
  switch (p.kind) {
    case "seen":
      await answered(
        api.PUT("/api/inspections/{id}", { params: { path }, body: p.body, ...patience(USUAL_MS) }),
      );
      return;
    case "unsee":
      await answered(api.DELETE("/api/inspections/{id}", { params: { path }, ...patience(USUAL_MS) }));
      return;
    case "photo": {
      const photo = await pictureOf(p);
      await answered(
        api.PUT("/api/inspections/{id}/photo", {
          params: { path },
          ...photoBody(photo),
          ...patience(PHOTO_MS),
        }),
      );
      return;
    }
  }
}

async function jobCall(p: Kind<"act" | "found" | "foundPhoto">): Promise<Reply> {
  const id = p.jobId;
  switch (p.kind) {
    case "act":
      return answered(
        api.PUT("/api/jobs/{id}/acts/{actId}", {
          params: { path: { id, actId: p.actId } },
          body: p.body,
          ...patience(USUAL_MS),
        }),
      );
    case "found":
      return answered(
        api.PUT("/api/jobs/{id}/findings/{findingId}", {
          params: { path: { id, findingId: p.findingId } },
          body: p.body,
          ...patience(USUAL_MS),
        }),
      );
    case "foundPhoto": {
      const photo = await pictureOf(p);
      return answered(
        api.PUT("/api/jobs/{id}/findings/{findingId}/photo", {
          params: { path: { id, findingId: p.findingId } },
          ...photoBody(photo),
          ...patience(PHOTO_MS),
        }),
      );
    }
  }
}

async function pictureOf(p: Contents): Promise<Blob> {
  const photo = await get<Blob>(nameOf(p)).catch(() => undefined);
  if (!photo) throw new ApiProblem("the picture is not on this device any more", 410);
  return photo;
}

/** What is kept beside a parcel goes with it. */
export function clearBeside(p: Contents) {
  if (p.kind === "photo" || p.kind === "foundPhoto") void del(nameOf(p)).catch(() => undefined);
}
