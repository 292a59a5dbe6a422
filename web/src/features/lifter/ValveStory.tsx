import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import type { Schemas, Valve } from "../../api/client";
import { valveStory } from "../../api/queries";
import { HeldParcels } from "../../outbox/HeldParcels";
import { KeptHere } from "../../outbox/KeptHere";
import { MARKS, MarkIcon } from "../../plan/verdict";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { thouText, unitName } from "../../units/lash";
import { say } from "../../words/said";
import { Causes } from "./Causes";
import { DriftChart } from "./DriftChart";
import { LashOnPaper } from "./LashOnPaper";
import { LifterPart } from "./LifterPart";
import { alikeSince, signed, unknown } from "./lifterFaces";
import { SeenList } from "./SeenList";
import { SumChart } from "./SumChart";
import { useSeen } from "./useSeen";

interface ValveStoryProps {
  engineId: string;
  valve: Valve;
  drift: Schemas["LashDriftView"];
  known: Schemas["EngineLifters"];
}

/** One valve from its signal to its cause: what it shows, since when, what to look at first. */
export function ValveStory({ engineId, valve, drift, known }: ValveStoryProps) {
  const query = useQuery(valveStory(engineId, valve));
  const { see, unsee, parcels, trouble } = useSeen(engineId, known.engineHours);
  const story = query.data;
  if (!story && query.error) return <Problem error={query.error} />;
  if (!story) return <p className="p-4 text-muted">One moment …</p>;
  const d = story.valve.drift;
  return (
    <section className="scribed grid gap-4 rounded p-4" aria-label={`Valve ${valve}`}>
      <Head valve={story.valve} hydraulic={known.hydraulic} />
      {story.looks.length > 0 && (
        <p className="text-lg">
          <span className="text-muted">Check first: </span>
          {story.looks.slice(0, 4).map((l, i) => (
            <span key={l.look.look}>
              {i > 0 && ", then "}
              <strong className={i === 0 ? "text-accent" : ""}>{l.look.title}</strong>
            </span>
          ))}{" "}
          <a href="#causes" className="ml-2">
            why
          </a>
        </p>
      )}
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      <HeldParcels parcels={parcels} />
      <KeptHere parcels={parcels.filter((p) => !p.held)} of="finding" />
      {d.points.length > 0 && (
        <div>
          <NotAllAlike valve={d} drift={drift} />
          <DriftChart drift={d} rounds={drift.rounds} />
          <SumChart drift={d} watchAt={drift.watchAt} findingAt={drift.findingAt} />
          <LashOnPaper drift={d} />
        </div>
      )}
      <div id="causes" />
      <Causes story={story} onSeen={(seen) => see([seen])} />
      {story.all.length + story.cylinder.length + story.engine.length > 0 && (
        <div>
          <h3 className="text-base">Seen</h3>
          <SeenList seen={[...story.all, ...story.cylinder, ...story.engine]} onTakeBack={unsee} />
        </div>
      )}
      <p>
        <Link
          to="/engines/$id/inspect"
          params={{ id: engineId }}
          search={{ valve }}
          className={buttonClass()}
        >
          Inspect {valve}
        </Link>
      </p>
      <LifterPart engineId={engineId} story={story} known={known} />
    </section>
  );
}

interface NotAllAlikeProps {
  valve: Schemas["ValveDriftView"];
  drift: Schemas["LashDriftView"];
}

/** Why a valve that speaks is not read wrong with all the others. */
function NotAllAlike({ valve, drift }: NotAllAlikeProps) {
  const { unit } = useSettings();
  const alike = alikeSince(drift.rounds, valve);
  if (!alike) return null;
  return (
    <p className="mb-2">
      <strong>Not the temperature, a hand or a leaf:</strong> those move every valve of a round alike. Since{" "}
      {alike.fromHours.toFixed(1)} h all valves together stood between{" "}
      <span className="num text-lg">{signed(alike.low, unit)}</span> and{" "}
      <span className="num text-lg">{signed(alike.high, unit)}</span> {unitName(unit)} of where they were, and
      that is taken off before {valve.position} is judged.
    </p>
  );
}

/** What happened once is said in the past; what goes on, as it is. */
const STEPS = new Set(["LASH.WENT_WIDE", "LASH.WENT_TIGHT"]);

function Head({ valve, hydraulic }: { valve: Schemas["ValveChain"]; hydraulic: boolean }) {
  const { unit } = useSettings();
  const d = valve.drift;
  const lash = say(d.said, unit);
  const speaks = d.strength === "FINDING" || d.strength === "WATCH";
  const nothing = unknown(valve);
  return (
    <div className="grid gap-2">
      <h2 className="flex flex-wrap items-center gap-3 text-xl">
        {nothing ? (
          <span>{valve.position}: nothing on record</span>
        ) : (
          <>
            <MarkIcon mark={valve.verdict} size={30} />
            <span>
              {valve.position}: {MARKS[valve.verdict].word}
              {valve.dueBefore && valve.verdict !== "RUN" && ` before ${valve.dueBefore}`}
            </span>
          </>
        )}
        {valve.lifter && (
          <span className="text-base font-medium text-muted">
            lifter {valve.lifter.mark},{" "}
            <span className="num text-lg">{valve.lifter.sinceRebuilt.toFixed(1)}</span> h
          </span>
        )}
      </h2>
      {d.strength === "UNKNOWN" && (
        <p className="text-muted">
          {hydraulic ? "Hydraulic: the plunger hides wear, so its lash tells nothing." : `Its lash: ${lash}.`}
        </p>
      )}
      {speaks && (
        <p className="text-lg font-semibold text-accent">
          Its lash {STEPS.has(d.said.code) ? "" : "is "}
          {lash}.
        </p>
      )}
      <div className="flex flex-wrap gap-x-8 gap-y-2">
        {speaks && d.thouPerHour && (
          <Figure
            label={`${unitName(unit)} an hour`}
            value={signed(d.thouPerHour.mid, unit)}
            note={`${signed(d.thouPerHour.low, unit)} to ${signed(d.thouPerHour.high, unit)}`}
          />
        )}
        {speaks && d.movedThou && (
          <Figure
            label={`${unitName(unit)} in all`}
            value={signed(d.movedThou.mid, unit)}
            note={`${signed(d.movedThou.low, unit)} to ${signed(d.movedThou.high, unit)}`}
          />
        )}
        {speaks && (
          <Figure
            label="probability of a real change"
            value={d.chance.steady < 0.01 ? "over 99%" : `${Math.round((1 - d.chance.steady) * 100)}%`}
            note={`evidence ${d.sum.toFixed(1)}`}
          />
        )}
        {!speaks && d.thouPerHour && (
          <Figure
            label={`${unitName(unit)} an hour, its own`}
            value={signed(d.thouPerHour.mid, unit)}
            note={`${signed(d.thouPerHour.low, unit)} to ${signed(d.thouPerHour.high, unit)}: ${lash}`}
          />
        )}
        {valve.toTrend && (
          <Figure
            label="hours until worn"
            value={valve.toTrend.mid <= 0 ? "now" : valve.toTrend.mid.toFixed(1)}
            note={
              valve.toTrend.high <= 0
                ? `${thouText(5, unit)} ${unitName(unit)} is passed`
                : `${valve.toTrend.low.toFixed(1)} to ${valve.toTrend.high >= 1000 ? "1000 and more" : valve.toTrend.high.toFixed(1)}`
            }
          />
        )}
        {valve.toInterval !== undefined && (
          <Figure
            label="hours to its interval"
            value={valve.toInterval.toFixed(1)}
            note={valve.toInterval < 0 ? "over it" : "left"}
          />
        )}
      </div>
      <Reasons reasons={valve.reasons} />
    </div>
  );
}

function Figure({ label, value, note }: { label: string; value: string; note: string }) {
  return (
    <div>
      <p className="text-sm text-muted">{label}</p>
      <p className="num text-4xl">{value}</p>
      <p className="text-sm text-muted">{note}</p>
    </div>
  );
}

/** What asks for something stands by itself; the rest is one line. */
function Reasons({ reasons }: { reasons: Schemas["LifterReason"][] }) {
  const { unit } = useSettings();
  const asking = reasons.filter((r) => r.asks !== "RUN");
  const rest = reasons.filter((r) => r.asks === "RUN");
  return (
    <ul>
      {asking.map((r) => (
        <li key={r.kind + r.said.name} className="font-semibold">
          {r.asks === "CHANGE" ? "✕" : "!"} {say(r.said, unit)}
        </li>
      ))}
      {rest.length > 0 && (
        <li className="text-sm text-muted">{rest.map((r) => say(r.said, unit)).join(" · ")}</li>
      )}
    </ul>
  );
}
