import type { QueryClient } from "@tanstack/react-query";
import { engine, head, job, round, springTest } from "../api/queries";
import { withChange } from "../api/roundChange";
import { isRoundChange, type Reply } from "./calls";
import { heardFromShim, onDelivered } from "./outbox";
import type { Parcel } from "./parcel";

/**
 * What Shim answers to a parcel goes where pages read it, whichever page is open; and whatever page
 * gets an answer, what waits goes off at once.
 */
export function receive(queries: QueryClient): () => void {
  const stopReceiving = onDelivered((parcel, reply) => take(queries, parcel, reply));
  const stopWatching = queries.getQueryCache().subscribe((event) => {
    if (event.type === "updated" && event.action.type === "success" && !event.action.manual) heardFromShim();
  });
  return () => {
    stopReceiving();
    stopWatching();
  };
}

function take(queries: QueryClient, parcel: Parcel, reply: Reply) {
  switch (parcel.kind) {
    case "reading":
    case "unread":
    case "look":
    case "crank":
      if (reply && isRoundChange(reply)) {
        queries.setQueryData(round(parcel.roundId).queryKey, (known) => known && withChange(known, reply));
      }
      return;
    case "load":
    case "unload":
    case "check": {
      if (reply) queries.setQueryData(springTest(parcel.testId).queryKey, reply as never);
      const engineId = reply && "engineId" in reply ? reply.engineId : undefined;
      if (engineId) void queries.invalidateQueries({ queryKey: [...engine(engineId).queryKey, "springs"] });
      return;
    }
    case "figure":
      if (reply) queries.setQueryData(head(parcel.headId).queryKey, reply as never);
      return;
    case "act":
    case "found":
    case "foundPhoto":
      if (reply && "state" in reply) queries.setQueryData(job(parcel.jobId).queryKey, reply as never);
  }
}
