import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { engine as engineQuery, runs as runsQuery } from "../../api/queries";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { Sheet } from "../../ui/Sheet";
import { secondsText } from "../../units/boxes";
import { LoggerPart } from "./LoggerPart";
import { KINDS, useDay } from "./useDay";

interface RunsPartProps {
  engineId: string;
  events: Schemas["EventView"][];
}

/** What the engine ran, and a day's runs written down in one go. */
export function RunsPart({ engineId, events }: RunsPartProps) {
  const all = useQuery(runsQuery(engineId)).data ?? [];
  const [adding, setAdding] = useState(false);
  return (
    <section className="scribed rounded p-4" aria-label="Runs">
      <div className="mb-1 flex items-center justify-between">
        <h2 className="text-lg">Runs</h2>
        <Button onClick={() => setAdding(true)}>Add a day's runs</Button>
      </div>
      {all.length === 0 && (
        <p className="text-muted">None yet: events count with the hours typed for them.</p>
      )}
      <ul className="max-h-56 overflow-auto">
        {[...all].reverse().map(({ id, run }) => (
          <li key={id} className="flex min-h-9 items-center gap-3 border-t border-hair">
            <span className="w-24 text-muted">{run.date}</span>
            <span className="flex-1">{KINDS.find(([k]) => k === run.kind)?.[1]}</span>
            <span className="num text-lg">{run.minutes} min</span>
            {run.bestSeconds !== undefined && (
              <span className="num text-lg">{secondsText(run.bestSeconds)}</span>
            )}
            {run.topRpm !== undefined && <span className="num text-lg">{Math.round(run.topRpm)} rpm</span>}
            {run.overRevs > 0 && <span className="font-semibold text-tight">{run.overRevs} over-rev</span>}
          </li>
        ))}
      </ul>
      {adding && <Day engineId={engineId} events={events} onClose={() => setAdding(false)} />}
    </section>
  );
}

function Day({ engineId, events, onClose }: RunsPartProps & { onClose: () => void }) {
  const { hand, setHand } = useSettings();
  const { entry, lines, filled, goOn, logged } = useDay(engineId, events, onClose);
  const { box, submit, trouble } = entry;
  const also = useQuery(engineQuery(engineId)).data?.sheet.use?.unit;
  return (
    <Sheet open onClose={onClose} title="A day's runs">
      <form className="grid gap-3" onSubmit={submit}>
        <div className="grid grid-cols-2 gap-3">
          <Field label="Date" type="date" {...box("date")} />
          <Select label="Kind" options={KINDS} {...box("kind")} />
          <Select
            label="Event"
            {...box("eventId")}
            options={[["", "none"], ...events.map((e) => [e.id, e.name] as const)]}
          />
          <Initials value={hand} onChange={setHand} error={entry.error("hand")} />
        </div>
        {lines.map((l, i) => {
          const minutes = box(`lines.${i}.minutes`);
          return (
            <div key={l.id} className={`grid grid-cols-3 gap-2 border-b border-hair pb-2`}>
              <Field
                label={`Run ${i + 1}, minutes`}
                inputMode="decimal"
                autoFocus={i === 0}
                {...minutes}
                onChange={async (e) => {
                  await minutes.onChange(e);
                  goOn();
                }}
              />
              <Field label="Top rpm" inputMode="numeric" {...box(`lines.${i}.topRpm`)} />
              <Field label="Over-revs" inputMode="numeric" {...box(`lines.${i}.overRevs`)} />
              <Field label="Best lap or climb" inputMode="decimal" {...box(`lines.${i}.best`)} />
              <Field label="Most power, hp" inputMode="decimal" {...box(`lines.${i}.powerHp`)} />
              <Field label="How it went" {...box(`lines.${i}.note`)} />
              {also && (
                <Field
                  label={also[0]?.toUpperCase() + also.slice(1)}
                  inputMode="decimal"
                  {...box(`lines.${i}.used`)}
                />
              )}
            </div>
          );
        })}
        <LoggerPart onUnderstood={logged} />
        {trouble && <Notice tone="stop">{trouble}</Notice>}
        <Button look="now" type="submit" disabled={filled === 0}>
          Keep {filled} {filled === 1 ? "run" : "runs"}
        </Button>
      </form>
    </Sheet>
  );
}
