import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas, wordsOf } from "../../api/client";
import { newId } from "../../api/ids";
import { UnknownInitials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { nth } from "../../ui/nth";
import { useEntry } from "../../ui/useEntry";
import { figure } from "../../units/boxes";
import { loadText, loadUnit } from "../../units/load";

interface LifterPartProps {
  engineId: string;
  story: Schemas["ValveStory"];
  known: Schemas["EngineLifters"];
}

/** The lifter itself: what it has been through, and taking it out, putting one in, a rebuild. */
export function LifterPart({ engineId, story, known }: LifterPartProps) {
  const { unit } = useSettings();
  const { lifter } = story.valve;
  return (
    <details className="rounded border border-hair px-3" open={!lifter}>
      <summary className="min-h-11 content-center font-semibold">
        Lifter{lifter ? ` ${lifter.mark}` : ": none on record"}
      </summary>
      <div className="grid gap-3 pb-3">
        {lifter && (
          <p>
            <span className="num text-lg">{lifter.hours.toFixed(1)}</span> h since new
            {lifter.rebuilds > 0 &&
              `, ${lifter.sinceRebuilt.toFixed(1)} h since rebuilt (${lifter.rebuilds} times)`}
            {lifter.partner && `, link bar to ${lifter.partner}`}
            {lifter.setName && `, ${lifter.setName}`}
            {lifter.openLbf !== undefined &&
              `, carries ${loadText(lifter.openLbf, unit, 0)} ${loadUnit(unit)} open`}
            {lifter.cycles !== undefined && `, ${Math.round(lifter.cycles / 1000)} thousand cycles logged`}
            {lifter.overRevs > 0 && `, ${lifter.overRevs} over-revs`}
          </p>
        )}
        {story.causes.length === 0 && <UnknownInitials />}
        {lifter ? (
          <TakeOut lifter={lifter} known={known} />
        ) : (
          <PutIn engineId={engineId} story={story} known={known} />
        )}
        {story.lives.length > 0 && (
          <ul className="text-sm text-muted">
            {story.lives.map((l) => (
              <li key={l.lifterId + l.fromHours}>
                {l.mark}: engine hours {l.fromHours.toFixed(1)} to{" "}
                {l.toHours === undefined ? "now" : l.toHours.toFixed(1)}
                {l.why && ` (${l.why})`}
              </li>
            ))}
          </ul>
        )}
      </div>
    </details>
  );
}

interface TakeOutProps {
  lifter: Schemas["LifterView"];
  known: Schemas["EngineLifters"];
}

function TakeOut({ lifter, known }: TakeOutProps) {
  const { hand } = useSettings();
  const [why, setWhy] = useState("");
  const [scrapped, setScrapped] = useState(false);
  const out = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/lifter-fittings/{id}/removal", {
          params: { path: { id: lifter.fittingId ?? "" } },
          body: { toHours: known.engineHours, scrapped, hand, why },
        }),
      ),
    onSuccess: askedAnew,
  });
  const rebuilt = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/lifter-rebuilds/{id}", {
          params: { path: { id: newId() } },
          body: { lifterId: lifter.id, ownHours: lifter.hours, what: why, hand },
        }),
      ),
    onSuccess: () => {
      setWhy("");
      return askedAnew();
    },
  });
  const trouble = wordsOf(out.error ?? rebuilt.error);
  return (
    <div className="flex flex-wrap items-end gap-3">
      <div className="min-w-52 flex-1">
        <Field
          label="Why it comes out, or what was rebuilt"
          value={why}
          error={trouble}
          maxLength={400}
          onChange={(e) => setWhy(e.target.value)}
        />
      </div>
      <Check label="scrap" checked={scrapped} onChange={(e) => setScrapped(e.target.checked)} />
      <Button onClick={() => out.mutate()} disabled={out.isPending}>
        Take out
      </Button>
      <Button onClick={() => rebuilt.mutate()} disabled={rebuilt.isPending}>
        Rebuilt now
      </Button>
    </div>
  );
}

const KINDS: readonly (readonly [Schemas["LifterEntry"]["kind"], string])[] = [
  ["ROLLER_SOLID", "solid roller"],
  ["FLAT_SOLID", "solid flat tappet"],
  ["ROLLER_HYDRAULIC", "hydraulic roller"],
  ["FLAT_HYDRAULIC", "hydraulic flat tappet"],
  ["BUCKET", "bucket"],
];

const asked = z.object({
  from: z.string(),
  mark: z.string(),
  kind: z.string().transform((k) => k as Schemas["LifterEntry"]["kind"]),
  hoursBefore: figure(),
});

function PutIn({ engineId, story, known }: LifterPartProps) {
  const { hand } = useSettings();
  const [ids] = useState(() => ({ lifter: newId(), fitting: newId() }));
  const { form, box, submit, keeping, trouble } = useEntry({
    schema: asked,
    first: {
      from: "",
      mark: "",
      kind: nth(KINDS, known.hydraulic ? (known.roller ? 2 : 3) : known.roller ? 0 : 1)[0],
      hoursBefore: "0",
    },
    // One from the shelf has all this on record.
    shown: (typed) => (typed.from ? { ...typed, hoursBefore: "" } : typed),
    send: ({ from, mark, kind, hoursBefore }) =>
      answered(
        api.PUT("/api/lifter-fittings/{id}", {
          params: { path: { id: ids.fitting } },
          body: {
            lifterId: from || ids.lifter,
            lifter: from ? undefined : { kind, mark, hoursBefore: hoursBefore ?? 0, scrapped: false },
            engineId,
            valve: story.valve.position,
            fromHours: known.engineHours,
            hand,
          },
        }),
      ),
    kept: askedAnew,
    fields: { mark: "lifter.mark", kind: "lifter.kind", hoursBefore: "lifter.hoursBefore" },
  });
  return (
    <form className="grid items-end gap-3 min-[700px]:grid-cols-2" aria-label="Put in" onSubmit={submit}>
      <Select
        label="From the shelf, or a new one"
        {...box("from")}
        options={[
          ["", "one not on record yet"],
          ...known.shelf.map((l) => [l.id, `${l.mark}, ${l.sinceRebuilt.toFixed(1)} h`] as const),
        ]}
      />
      {form.watch("from") === "" && (
        <>
          <Field label="Its mark" {...box("mark")} />
          <Select label="Kind" {...box("kind")} options={KINDS} />
          <Field label="Hours it has run already" inputMode="decimal" {...box("hoursBefore")} />
        </>
      )}
      <Button type="submit" disabled={keeping}>
        Put it in at {story.valve.position}
      </Button>
      {trouble && <Notice tone="stop">{trouble}</Notice>}
    </form>
  );
}
