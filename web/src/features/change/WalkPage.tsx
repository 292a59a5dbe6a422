import { Link, useParams } from "@tanstack/react-router";
import type { Schemas } from "../../api/client";
import { KeptHere } from "../../outbox/KeptHere";
import type { Parcel } from "../../outbox/parcel";
import { ValvePlan } from "../../plan/ValvePlan";
import { MARKS, MarkIcon } from "../../plan/verdict";
import { Waiting } from "../../shell/EngineFrame";
import { InlineInitials } from "../../shell/Initials";
import { Problem } from "../../shell/Problem";
import { Button, buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { Bearing } from "./Bearing";
import { ElsePart } from "./ElsePart";
import { EmergencyPanel } from "./EmergencyPanel";
import { FindingList, FindingPart } from "./FindingPart";
import { StepPanel } from "./StepPanel";
import { itemText, jobFaces } from "./steps";
import { useJob } from "./useJob";

/** The walk at the car: one step at a time, and what stands open. */
export function WalkPage() {
  const { id } = useParams({ from: "/jobs/$id" });
  const work = useJob(id);
  if (work.error && !work.job) return <Problem error={work.error} />;
  if (!work.job) return <Waiting />;
  return <Walk job={work.job} work={work} />;
}

interface WalkProps {
  job: Schemas["JobView"];
  work: ReturnType<typeof useJob>;
}

function Walk({ job, work }: WalkProps) {
  const { state } = job;
  const next = state.next;
  return (
    <div className="flex flex-1 flex-col gap-2 p-2">
      <WalkBar job={job} parcels={work.parcels} />
      <div className="grid min-h-0 flex-1 content-start gap-2 max-[999px]:grid-rows-[auto_1fr] min-[1000px]:grid-cols-[300px_minmax(0,1fr)]">
        <section className="scribed grid content-start gap-2 rounded p-2" aria-label="Valve plan">
          <ValvePlan
            layout={job.layout}
            faces={jobFaces(state)}
            selected={next?.valve}
            label="Valves of this job"
            className="h-40 w-full min-[1000px]:h-[calc(100dvh-19rem)]"
          />
          <ul className="flex flex-wrap gap-x-3 gap-y-1 text-sm text-muted">
            {(["OPEN", "HELD", "LOOSE", "HOME"] as const).map((m) => (
              <li key={m} className="flex items-center gap-1">
                <MarkIcon mark={m} size={16} /> {MARKS[m].word}
              </li>
            ))}
          </ul>
          <Standing state={state} />
        </section>
        <div className="flex min-w-0 flex-col gap-2">
          {state.parked ? (
            <Parked parked={state.parked} onResume={() => work.once({ act: "RESUME" })} />
          ) : state.emergency ? (
            <EmergencyPanel emergency={state.emergency} others={state.otherwise} onDo={work.once} />
          ) : next && state.end === "OPEN" ? (
            <>
              <StepPanel
                key={`${next.id} ${state.acts}`}
                step={next}
                then={state.then}
                number={state.steps.filter((s) => s.done).length + 1}
                of={state.steps.length}
                refused={next.act === "SIGN" ? undefined : state.refused}
                trouble={work.refused}
                busy={work.onItsWay}
                hydraulic={state.hydraulic}
                onDo={(figure, word) =>
                  work.once({
                    act: next.act,
                    step: next.id,
                    cylinder: next.cylinder,
                    valve: next.valve,
                    figure,
                    word,
                  })
                }
              >
                <Bearing job={job} step={next} />
              </StepPanel>
              {next.act === "SIGN" && state.signing.length > 0 && <Signing open={state.signing} />}
              <ElsePart others={state.otherwise} onDo={work.once} />
              <FindingPart findings={job.findings} valve={next.valve} find={work.find} />
              <Steps state={state} onBack={(step) => work.once({ act: "UNTICK", word: step })} />
            </>
          ) : (
            <Over job={job} />
          )}
        </div>
      </div>
    </div>
  );
}

function WalkBar({ job, parcels }: { job: Schemas["JobView"]; parcels: readonly Parcel[] }) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
      <h1 className="text-lg">
        <Link to="/engines/$id" params={{ id: job.engineId }} className="no-underline hover:underline">
          {job.engineName}
        </Link>
        : {job.state.title.toLowerCase()}
      </h1>
      <InlineInitials word="done by" label="Initials of who does the steps" placeholder={job.hand} />
      <KeptHere parcels={parcels.filter((p) => !p.held)} of="step" waits />
    </div>
  );
}

/** Crank, holds, and what must be on the bench now. */
function Standing({ state }: { state: Schemas["JobState"] }) {
  const moved = state.counts.filter((c) => c.laidOut + c.off + c.on > 0);
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-sm">
      {state.hold !== "BLOCK" && (
        <>
          <dt className="text-muted">Crank</dt>
          <dd>
            {state.crankDeg === undefined ? "position not set" : `${Math.round(state.crankDeg)}°`}
            {state.crankLocked && ", locked"}
          </dd>
        </>
      )}
      <dt className="text-muted">Held</dt>
      <dd className={state.holds.some((h) => h.lost) ? "font-bold text-tight" : ""}>
        {state.holds.length === 0
          ? "nothing"
          : state.holds.map((h) => `cylinder ${h.cylinder} by ${h.by}${h.lost ? ": LOST" : ""}`).join(", ")}
      </dd>
      {moved.length > 0 && <dt className="text-muted">On the bench</dt>}
      {moved.length > 0 && <dd>{moved.map((c) => itemText(c.item, c.expected)).join(", ")}</dd>}
    </dl>
  );
}

function Signing({ open }: { open: string[] }) {
  return (
    <section className="grid gap-1" aria-label="Open before sign-off">
      {open.map((o) => (
        <Notice key={o} tone="stop">
          {o}
        </Notice>
      ))}
    </section>
  );
}

interface ParkedProps {
  parked: Schemas["Parked"];
  onResume: () => void;
}

function Parked({ parked, onResume }: ParkedProps) {
  return (
    <section className="scribed grid gap-4 rounded p-5" aria-label="Parked">
      <h2 className="text-2xl">Parked</h2>
      <p className="text-5xl font-extrabold">{parked.why}</p>
      <p className="text-muted">
        since {new Date(parked.since).toLocaleString()}
        {parked.until && `, until ${new Date(parked.until).toLocaleString()}`}
      </p>
      <Button look="now" className="min-h-16 text-2xl" autoFocus onClick={onResume}>
        Take it up again ⏎
      </Button>
    </section>
  );
}

interface StepsProps {
  state: Schemas["JobState"];
  onBack: (stepId: string) => void;
}

/** The whole walk as a list; a plain step can be taken back. */
function Steps({ state, onBack }: StepsProps) {
  return (
    <details className="scribed rounded px-4 py-2">
      <summary className="min-h-11 content-center font-semibold">All steps</summary>
      <ol>
        {state.steps.map(({ step, done }) => (
          <li key={step.id} className="flex min-h-11 items-center gap-3 border-t border-hair">
            <span className={`w-5 ${done ? "text-ok" : "text-muted"}`} aria-hidden>
              {done ? "✓" : "·"}
            </span>
            <span className={`flex-1 ${done ? "text-muted" : ""}`}>
              {step.title}
              <span className="sr-only">{done ? ", done" : ", to do"}</span>
            </span>
            {done && step.id.startsWith("tick:") && (
              <Button look="quiet" onClick={() => onBack(step.id)}>
                Take back
              </Button>
            )}
          </li>
        ))}
      </ol>
    </details>
  );
}

function Over({ job }: { job: Schemas["JobView"] }) {
  return (
    <section className="scribed grid gap-3 rounded p-5" aria-label="Over">
      <h2 className="text-2xl">
        {job.state.end === "SIGNED" ? `Signed off by ${job.signedBy}` : "Ended unfinished"}
      </h2>
      <ul>
        {job.state.valves.map((v) => (
          <li key={v.position} className="flex gap-4 border-t border-hair py-1">
            <strong className="w-10">{v.position}</strong>
            <span className="flex-1">
              {v.springIn ?? "no spring"}, {v.words}
            </span>
            {v.heightIn !== undefined && <span className="num text-lg">{v.heightIn.toFixed(3)}</span>}
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        <Link to="/engines/$id/springs" params={{ id: job.engineId }} className={buttonClass("now")}>
          To the springs
        </Link>
        <Link to="/engines/$id" params={{ id: job.engineId }} className={buttonClass()}>
          What stays open
        </Link>
      </div>
      <FindingList findings={job.findings} />
    </section>
  );
}
