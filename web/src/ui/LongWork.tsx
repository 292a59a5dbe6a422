import { type UseMutationOptions, useMutation, useQuery } from "@tanstack/react-query";
import { Square } from "lucide-react";
import { ApiProblem, answered, api, type Schemas } from "../api/client";
import { newId } from "../api/ids";
import { megabytes } from "../units/bytes";
import { Button } from "./Button";
import { Notice } from "./Notice";

type Far = Schemas["HowFar"];

/** Under this header a call says that it will be asked how far it is. */
export type Followed = { "Shim-Work": string };

const STAGES: Record<Far["stage"], string> = {
  WAITING: "On its way to Shim",
  ARRIVING: "The file comes over the line",
  UNPACKING: "Photos are unpacked",
  READING: "Every row is read through",
  TAKING_IN: "Entries are taken in",
  COMPUTING: "What follows from them is computed",
  PACKING: "Photos are packed",
  REPLACING: "It is put in place",
};

/** Drawn alike in every browser. */
const BAR =
  "h-3 w-full appearance-none rounded border border-hair bg-raised [&::-webkit-progress-bar]:bg-raised [&::-webkit-progress-value]:bg-accent [&::-moz-progress-bar]:bg-accent";

/** Until its file is there, nothing of it is begun. */
const NOT_ALL_HERE: readonly Far["stage"][] = ["WAITING", "ARRIVING"];

/** Short work is over before anybody would read how far it is. */
const FIRST_LOOK_MS = 400;
const NEXT_LOOK_MS = 100;

interface Begun<In> {
  given: In;
  id: string;
  upload: AbortController;
}

/**
 * A call that may take long, such as an import: `far` is drawn where it was begun and says how far it
 * is, with a press that stops it. What was stopped is no error.
 */
export function useLongWork<In, Out>(
  work: (given: In, followed: Followed, upload: AbortSignal) => Promise<Out>,
  options: Pick<UseMutationOptions<Out, Error, Begun<In>>, "onMutate" | "onSuccess"> = {},
) {
  const { mutate, reset, data, variables, isPending, error } = useMutation({
    mutationFn: async ({ given, id, upload }: Begun<In>) => {
      try {
        return await work(given, { "Shim-Work": id }, upload.signal);
      } catch (e) {
        throw upload.signal.aborted ? ApiProblem.stopped() : e;
      }
    },
    ...options,
  });
  const stopped = error instanceof ApiProblem && error.stopped;
  return {
    begin: (given: In) => mutate({ given, id: newId(), upload: new AbortController() }),
    reset,
    data,
    isPending,
    error: stopped ? null : error,
    far: (
      <>
        {isPending && variables && <HowFar id={variables.id} upload={variables.upload} />}
        {stopped && <Notice tone="know">Stopped. Nothing was changed.</Notice>}
      </>
    ),
  };
}

function HowFar({ id, upload }: { id: string; upload: AbortController }) {
  const path = { params: { path: { id } } };
  const { data: far } = useQuery({
    queryKey: ["under-way", id],
    queryFn: async () => {
      await new Promise((done) => setTimeout(done, FIRST_LOOK_MS));
      return answered(api.GET("/api/under-way/{id}", path));
    },
    refetchInterval: NEXT_LOOK_MS,
    gcTime: 0,
  });
  const stop = useMutation({
    mutationFn: async () => {
      const { stage } = await answered(api.DELETE("/api/under-way/{id}", path));
      // The rest of a file that Shim will not look at need not come over the line.
      if (NOT_ALL_HERE.includes(stage)) upload.abort();
    },
  });
  // One that has not come to Shim yet may be stopped by another press.
  const press = () => stop.mutate(undefined, { onError: stop.reset });
  if (!far) return null;
  const words = STAGES[far.stage];
  const amount = far.stage === "ARRIVING" ? megabytes : String;
  const known = far.all > 0;
  return (
    <div className="scribed grid gap-2 rounded px-3 py-2">
      <p className="flex flex-wrap items-baseline justify-between gap-x-4" aria-live="polite">
        <span className="font-semibold">{words}</span>
        {known && (
          <span className="num text-xl">
            {amount(far.done)} of {amount(far.all)}
          </span>
        )}
      </p>
      <progress aria-label={words} className={BAR} {...(known && { value: far.done, max: far.all })} />
      <p>
        {far.stops ? (
          <Button disabled={!stop.isIdle} onClick={press}>
            <Square aria-hidden className="size-5" /> {stop.isIdle ? "Stop" : "Stopping …"}
          </Button>
        ) : (
          <span className="text-muted">From here on it goes through.</span>
        )}
      </p>
    </div>
  );
}
