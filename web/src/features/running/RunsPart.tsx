import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { runs as runsQuery } from "../../api/queries";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { nth } from "../../ui/nth";
import { Sheet } from "../../ui/Sheet";
import { readNumber } from "../../units/load";
import { LoggerPart } from "./LoggerPart";

type RunEntry = Schemas["RunEntry"];

const KINDS = [
  ["HILL_RUN", "hill run"],
  ["PRACTICE", "practice"],
  ["QUALIFYING", "qualifying"],
  ["RACE", "race"],
  ["TEST_DAY", "test day"],
  ["DYNO", "dyno"],
  ["WARM_UP", "warm-up"],
] as const;

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
            {run.topRpm !== undefined && <span className="num text-lg">{Math.round(run.topRpm)} rpm</span>}
            {run.overRevs > 0 && <span className="font-semibold text-tight">{run.overRevs} over-rev</span>}
          </li>
        ))}
      </ul>
      {adding && <Day engineId={engineId} events={events} onClose={() => setAdding(false)} />}
    </section>
  );
}

interface Line {
  id: string;
  minutes: string;
  topRpm: string;
  overRevs: string;
  cycles?: number;
  hottestF?: number;
  logger?: boolean;
}

const blank = (): Line => ({ id: newId(), minutes: "", topRpm: "", overRevs: "" });

function Day({ engineId, events, onClose }: RunsPartProps & { onClose: () => void }) {
  const queries = useQueryClient();
  const { hand, setHand } = useSettings();
  const [date, setDate] = useState(() => new Date().toISOString().slice(0, 10));
  const [kind, setKind] = useState<RunEntry["kind"]>("HILL_RUN");
  const [eventId, setEventId] = useState(events.find((e) => e.runHours === undefined)?.id ?? "");
  const [lines, setLines] = useState<Line[]>([blank()]);
  const filled = lines.filter((l) => l.minutes.trim() !== "");
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/engines/{id}/runs", {
          params: { path: { id: engineId } },
          body: filled.map((l) => ({
            id: l.id,
            run: {
              engineId,
              eventId: eventId || undefined,
              kind,
              date,
              minutes: readNumber(l.minutes) ?? Number.NaN,
              topRpm: readNumber(l.topRpm),
              overRevs: readNumber(l.overRevs) ?? 0,
              cycles: l.cycles,
              hottestF: l.hottestF,
              fromLogger: l.logger ?? false,
              hand,
            },
          })),
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ["engines", engineId] });
      onClose();
    },
  });
  const problem = keep.error instanceof ApiProblem ? keep.error : undefined;
  const change = (i: number, part: Partial<Line>) => {
    const next = lines.map((l, k) => (k === i ? { ...l, ...part } : l));
    setLines(nth(next, -1).minutes.trim() === "" ? next : [...next, blank()]);
  };
  return (
    <Sheet open onClose={onClose} title="A day's runs">
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          keep.mutate();
        }}
      >
        <div className="grid grid-cols-2 gap-3">
          <Field label="Date" type="date" value={date} onChange={(e) => setDate(e.target.value)} />
          <Select
            label="Kind"
            value={kind}
            onChange={(e) => setKind(e.target.value as RunEntry["kind"])}
            options={KINDS}
          />
          <Select
            label="Event"
            value={eventId}
            onChange={(e) => setEventId(e.target.value)}
            options={[["", "none"], ...events.map((e) => [e.id, e.name] as const)]}
          />
          <Initials value={hand} onChange={setHand} />
        </div>
        {lines.map((l, i) => (
          <div key={l.id} className="grid grid-cols-3 gap-2">
            <Field
              label={`Run ${i + 1}, minutes`}
              value={l.minutes}
              inputMode="decimal"
              autoFocus={i === 0}
              onChange={(e) => change(i, { minutes: e.target.value })}
            />
            <Field
              label="Top rpm"
              value={l.topRpm}
              inputMode="numeric"
              onChange={(e) => change(i, { topRpm: e.target.value })}
            />
            <Field
              label="Over-revs"
              value={l.overRevs}
              inputMode="numeric"
              onChange={(e) => change(i, { overRevs: e.target.value })}
            />
          </div>
        ))}
        <LoggerPart
          onUnderstood={(sum) =>
            change(lines.length - 1, {
              minutes: String(Math.round(sum.hours * 600) / 10),
              topRpm: String(Math.round(sum.topRpm)),
              overRevs: String(sum.overRevs),
              cycles: sum.cycles,
              hottestF: sum.hottest,
              logger: true,
            })
          }
        />
        {problem && (
          <Notice tone="stop">
            {problem.message}
            {problem.errors.map((e) => (
              <p key={e.field + e.message}>{e.message}</p>
            ))}
          </Notice>
        )}
        <Button look="now" type="submit" disabled={filled.length === 0}>
          Keep {filled.length} {filled.length === 1 ? "run" : "runs"}
        </Button>
      </form>
    </Sheet>
  );
}
