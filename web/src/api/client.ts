import createClient from "openapi-fetch";
import type { LashUnit } from "../units/lash";
import { inUnit } from "../units/measures";
import type { components, paths } from "./schema";

export type Schemas = components["schemas"];
export type Valve = string;

/** Refused, because something else was kept meanwhile. */
const CONFLICT = 409;
const STOPPED = "urn:shim:stopped";

/** One field at fault, in a technician's words. */
export interface FieldError {
  field: string;
  message: string;
}

/** Every refusal of the API, as RFC 9457 tells it; `offline` when Shim did not answer at all. */
export class ApiProblem extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly errors: FieldError[] = [],
    readonly type?: string,
  ) {
    super(message);
    this.name = "ApiProblem";
  }

  get offline() {
    return this.status === 0;
  }

  get conflict() {
    return this.status === CONFLICT && !this.stopped;
  }

  /** Whoever began it has stopped it. */
  get stopped() {
    return this.type === STOPPED;
  }

  static stopped() {
    return new ApiProblem("stopped, as you asked: nothing was changed", CONFLICT, [], STOPPED);
  }
}

/** A question that hangs on a dead line is given up, so that the page asks again. */
const QUESTION_MS = 30_000;

/** Calls go to the page's own origin; `fetch` is looked up at each call so that tests may answer. */
export const api = createClient<paths>({
  baseUrl: globalThis.location?.origin ?? "http://localhost",
  fetch: (request) =>
    request.method === "GET"
      ? globalThis.fetch(request, { signal: AbortSignal.timeout(QUESTION_MS) })
      : globalThis.fetch(request),
});

let unit: LashUnit = "thou";

/** Figures in Shim's words come in this unit from now on. */
export function readIn(next: LashUnit) {
  unit = next;
}

api.use({
  async onResponse({ response }) {
    if (!response.headers.get("Content-Type")?.includes("json")) return undefined;
    const { status, statusText, headers } = response;
    const text = await response.text();
    // A status without a body takes none.
    return new Response(text === "" ? null : inUnit(text, unit), { status, statusText, headers });
  },
});

type Kept = (path: string) => void;

const listeners = new Set<Kept>();

/** Told of everything that Shim keeps, by the call's path in the API's document. */
export function onKept(listener: Kept): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** What stands at a device, or is under way, is on no record. */
const ON_NO_RECORD = /^\/api\/(dial|tester|encoder|under-way)\b/;
/** What is posted is a question, but for these. */
const KEPT_BY_POST = new Set(["/api/backups", "/api/engines/{id}/spring-readings"]);

function keeps(method: string, path: string): boolean {
  if (method === "POST") return KEPT_BY_POST.has(path);
  return method !== "GET" && !ON_NO_RECORD.test(path);
}

api.use({
  onResponse({ request, response, schemaPath }) {
    if (!(response.ok || response.status === CONFLICT) || !keeps(request.method, schemaPath)) return;
    for (const tell of listeners) tell(schemaPath);
  },
});

/** What went wrong, in the words for a person: the first field's where fields are named. */
export function wordsOf(error: unknown): string | undefined {
  if (error instanceof ApiProblem) return error.errors[0]?.message ?? error.message;
  return error instanceof Error ? error.message : undefined;
}

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

function isProblem(e: unknown): e is { type?: string; detail?: string; errors?: FieldError[] } {
  return typeof e === "object" && e !== null && "detail" in e;
}

/** Unwraps an answer or throws the one error type of the application. */
export async function answered<T>(call: Promise<Answer<T>>): Promise<T> {
  let answer: Answer<T>;
  try {
    answer = await call;
  } catch {
    throw new ApiProblem("Shim does not answer: is it still running?", 0);
  }
  if (answer.response.ok) return answer.data as T;
  const problem = isProblem(answer.error) ? answer.error : {};
  throw new ApiProblem(
    problem.detail ?? "Shim could not do this",
    answer.response.status,
    problem.errors ?? [],
    problem.type,
  );
}

/** What a call needs to send a photo as it is. */
export const photoBody = (photo: Blob) => ({
  body: photo as unknown as string,
  bodySerializer: (b: unknown) => b as Blob,
  headers: { "Content-Type": "application/octet-stream" },
});
