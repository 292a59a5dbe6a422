import { Link } from "@tanstack/react-router";
import type { Schemas } from "../../api/client";
import { KeptHere } from "../../outbox/KeptHere";
import type { Parcel } from "../../outbox/parcel";
import { InlineInitials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { heightText } from "../../units/load";
import { FindingList } from "./FindingPart";

export function WalkBar({ job, parcels }: { job: Schemas["JobView"]; parcels: readonly Parcel[] }) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
      <h1 className="text-lg">
        {job.engineId ? (
          <Link to="/engines/$id" params={{ id: job.engineId }} className="no-underline hover:underline">
            {job.placeName}
          </Link>
        ) : (
          <Link to="/heads/$id" params={{ id: job.headId ?? "" }} className="no-underline hover:underline">
            {job.placeName}
          </Link>
        )}
        : {job.state.title.charAt(0).toLowerCase() + job.state.title.slice(1)}
      </h1>
      <InlineInitials word="done by" label="Initials of who does the steps" placeholder={job.hand} />
      <KeptHere parcels={parcels.filter((p) => !p.held)} of="step" waits />
    </div>
  );
}

/** Crank, holds, and what must be on the bench now. */
export function Standing({ state }: { state: Schemas["JobState"] }) {
  const moved = state.counts.filter((c) => c.expected > 0);
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-sm">
      {state.crank && (
        <>
          <dt className="text-muted">Crank</dt>
          <dd>
            {state.crank.deg === undefined ? "position not set" : `${Math.round(state.crank.deg)}°`}
            {state.crank.locked && ", locked"}
          </dd>
        </>
      )}
      {state.kind === "SPRINGS" && <dt className="text-muted">Held</dt>}
      {state.kind === "SPRINGS" && (
        <dd className={state.holds.some((h) => h.lost) ? "font-bold text-tight" : ""}>
          {state.holds.length === 0
            ? "nothing"
            : state.holds.map((h) => `cylinder ${h.cylinder} by ${h.by}${h.lost ? ": LOST" : ""}`).join(", ")}
        </dd>
      )}
      {moved.length > 0 && <dt className="text-muted">On the bench</dt>}
      {moved.length > 0 && <dd>{moved.map((c) => c.words).join(", ")}</dd>}
    </dl>
  );
}

export function Signing({ open }: { open: string[] }) {
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

export function Parked({ parked, onResume }: ParkedProps) {
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
export function Steps({ state, onBack }: StepsProps) {
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

export function Over({ job }: { job: Schemas["JobView"] }) {
  const { unit } = useSettings();
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
              {v.part ? `${v.part}, ` : ""}
              {v.words}
            </span>
            {v.heightIn !== undefined && <span className="num text-lg">{heightText(v.heightIn, unit)}</span>}
          </li>
        ))}
      </ul>
      {job.headId && (
        <div className="flex flex-wrap gap-2">
          <Link to="/heads/$id" params={{ id: job.headId }} className={buttonClass("now")}>
            To the heads
          </Link>
          <Link to="/heads/$id/book" params={{ id: job.headId }} className={buttonClass()}>
            Assembly book
          </Link>
        </div>
      )}
      {job.engineId && (
        <div className="flex flex-wrap gap-2">
          <Link to="/engines/$id/springs" params={{ id: job.engineId }} className={buttonClass("now")}>
            To the springs
          </Link>
          <Link to="/engines/$id" params={{ id: job.engineId }} className={buttonClass()}>
            What stays open
          </Link>
        </div>
      )}
      <FindingList findings={job.findings} />
    </section>
  );
}
