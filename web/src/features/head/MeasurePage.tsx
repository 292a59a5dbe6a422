import { Link, useParams } from "@tanstack/react-router";
import { useState } from "react";
import { HeldParcels } from "../../outbox/HeldParcels";
import { KeptHere } from "../../outbox/KeptHere";
import { ValvePlan } from "../../plan/ValvePlan";
import { Waiting } from "../../shell/EngineFrame";
import { InlineInitials } from "../../shell/Initials";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { buttonClass } from "../../ui/Button";
import { figureOf } from "../../units/figures";
import { FigurePanel } from "./FigurePanel";
import { HeadName } from "./HeadName";
import { nextPlace, places, readingsOf, taken } from "./headFlow";
import { type Head, MEASURES, ROUND, type What } from "./measures";
import { useHead } from "./useHead";

/** Measuring a head: one thing after another, round the valves, from the number block. */
export function MeasurePage() {
  const { id } = useParams({ from: "/heads/$id/measure" });
  const work = useHead(id);
  if (work.error && !work.head) return <Problem error={work.error} />;
  if (!work.head) return <Waiting />;
  return <Measuring head={work.head} work={work} />;
}

interface MeasuringProps {
  head: Head;
  work: ReturnType<typeof useHead>;
}

const unitOf = (head: Head, what: What) => head.measures.find((m) => m.what === what)?.unit ?? "INCH";

function Measuring({ head, work }: MeasuringProps) {
  const { unit } = useSettings();
  const first = ROUND.find((w) => nextPlace(head, work.figures, w, 0) >= 0) ?? "HEIGHT";
  const [what, setWhat] = useState<What>(first);
  const [at, setAt] = useState(() => Math.max(0, nextPlace(head, work.figures, first, 0)));
  const all = places(head, what);
  const place = all[at];
  const choose = (w: What) => {
    setWhat(w);
    setAt(Math.max(0, nextPlace(head, work.figures, w, 0)));
  };
  const kept = (figure: number) => {
    if (!place) return;
    work.read(what, place, figure);
    const now = [...work.figures, { what, ...place, figure }];
    const next = nextPlace(head, now, what, at);
    if (next >= 0) return setAt(next);
    const after = ROUND.slice(ROUND.indexOf(what) + 1).find((w) => nextPlace(head, now, w, 0) >= 0);
    if (after) choose(after);
  };
  const faces = Object.fromEntries(
    head.layout.banks.flatMap((b) =>
      b.valves.map((valve) => {
        const here = taken(work.figures, what, { valve });
        const full = here.length >= readingsOf(head, what);
        const shown = what === "POCKET" ? Math.max(...here.map((f) => f.figure)) : here.at(-1)?.figure;
        return [
          valve,
          {
            text: here.length > 0 && shown !== undefined ? figureOf(shown, unitOf(head, what), unit) : "",
            mark: full ? ("IN" as const) : ("OPEN" as const),
            lit: !full,
          },
        ];
      }),
    ),
  );
  return (
    <div className="flex flex-1 flex-col gap-2 p-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
        <h1 className="text-lg">
          <HeadName head={head} />: measuring
        </h1>
        <InlineInitials word="measured by" label="Initials of who measures" />
        <KeptHere parcels={work.parcels.filter((p) => !p.held)} of="figure" />
      </div>
      <div className="grid min-h-0 flex-1 content-start gap-2 min-[1000px]:grid-cols-[300px_minmax(0,1fr)]">
        <section className="scribed grid content-start gap-2 rounded p-2" aria-label="Valve plan">
          <ValvePlan
            layout={head.layout}
            faces={faces}
            selected={place?.valve}
            onSelect={(v) => {
              const i = all.findIndex((p) => p.valve === v);
              if (i >= 0) setAt(i);
            }}
            label="Valves of these heads"
            className="h-48 w-full min-[1000px]:h-[calc(100dvh-12rem)]"
          />
        </section>
        <div className="flex min-w-0 flex-col gap-2">
          <HeldParcels parcels={work.parcels} />
          <Whats head={head} work={work} what={what} onChoose={choose} />
          {place && (
            <FigurePanel
              key={`${what} ${at}`}
              head={head}
              what={what}
              of={unitOf(head, what)}
              place={place}
              taken={taken(work.figures, what, place).map((f) => f.figure)}
              initials={work.hand !== ""}
              onKeep={kept}
              onMove={(by) => setAt((at + by + all.length) % all.length)}
              onBack={() => work.takeBack(what, place)}
            />
          )}
          <p className="px-1">
            <Link to="/heads/$id/springs" params={{ id: head.id }} className={buttonClass("quiet")}>
              Which spring for these heads?
            </Link>
          </p>
        </div>
      </div>
    </div>
  );
}

interface WhatsProps extends MeasuringProps {
  what: What;
  onChoose: (w: What) => void;
}

/** What can be measured, and how far each is. */
function Whats({ head, work, what, onChoose }: WhatsProps) {
  const left = (w: What) =>
    places(head, w).filter((p) => taken(work.figures, w, p).length < readingsOf(head, w)).length;
  return (
    <label className="flex flex-wrap items-center gap-2 px-1 text-muted">
      Measuring
      <select
        value={what}
        onChange={(e) => onChoose(e.target.value as What)}
        className="min-h-11 rounded border border-hair bg-raised px-3 text-lg text-ink"
      >
        {ROUND.map((w) => (
          <option key={w} value={w}>
            {MEASURES[w].name}
            {left(w) === 0 ? ", done" : `, ${left(w)} to do`}
          </option>
        ))}
      </select>
    </label>
  );
}
