import type { QueryClient, QueryMeta } from "@tanstack/react-query";
import { onKept } from "./client";

/** A figure of a measuring round or test: it comes often, and its page gets Shim's answer with it. */
const FIGURE = /^\/api\/(rounds|spring-tests|heads)\/\{id}\/(crank|(readings|checks|valves)\/\{\w+})$/;

/** Hangs on more than its question. */
export const mayChange = { predicate: ({ meta }: { meta?: QueryMeta | undefined }) => !meta?.always };

let asked: Promise<void> = Promise.resolve();

/**
 * Whatever Shim keeps may change any answer: what is in sight is asked anew at once, all else when it
 * is looked at. Nobody has to know what hangs on what they keep.
 */
export function askAnew(queries: QueryClient): () => void {
  return onKept((path) => {
    asked = anew(queries, FIGURE.test(path));
  });
}

/** Once what is in sight knows what was kept last: for a form or a page that goes on from there. */
export const askedAnew = () => asked;

async function anew(queries: QueryClient, figure: boolean) {
  // A first answer still on its way was made before this and would be taken for the new one.
  await queries.cancelQueries(figure ? { ...mayChange, type: "inactive" } : mayChange);
  await queries.invalidateQueries({ ...mayChange, refetchType: figure ? "none" : "active" });
}
