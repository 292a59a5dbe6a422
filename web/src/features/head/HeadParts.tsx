import { Link } from "@tanstack/react-router";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { figureOf, unitName } from "../../units/figures";
import { heightText, kept } from "../../units/load";
import { figureText, unitOf } from "../../units/measures";
import { placeName } from "./headFlow";
import { type Head, MEASURES, ROUND, span } from "./measures";

/** What was measured: each thing in one line, its least and its most. */
export function Measured({ head }: { head: Head }) {
  const { unit } = useSettings();
  const lines = ROUND.map((what) => {
    const of = head.measures.find((m) => m.what === what);
    const shows = head.shows.filter((s) => s.what === what);
    const figures = shows.map((s) => s.figure);
    const apart = shows.filter((s) => s.apart).map((s) => placeName(s.place, head));
    return { what, of, figures, apart };
  }).filter((l) => l.of && (l.figures.length > 0 || l.of.at === "VALVE"));
  const known = lines.filter((l) => l.figures.length > 0);
  return (
    <section className="scribed rounded p-3" aria-label="Measured">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg">Measured</h2>
        <div className="flex flex-wrap gap-2">
          <Link to="/heads/$id/measure" params={{ id: head.id }} className={buttonClass()}>
            Measure
          </Link>
          <Link to="/heads/$id/order" params={{ id: head.id }} className={buttonClass("quiet")}>
            Sheet for ordering
          </Link>
        </div>
      </div>
      {known.length === 0 && (
        <p className="text-muted">nothing yet: begin with heights, pockets and seal gaps</p>
      )}
      <ul>
        {known.map(({ what, of, figures, apart }) => (
          <li key={what} className="flex min-h-9 flex-wrap items-baseline gap-x-3 border-t border-hair py-1">
            <span className="min-w-44">{MEASURES[what].name}</span>
            <span className="num text-lg">
              {of && span(figures, (v) => figureOf(v, of.unit, unit))} {of && unitName(of.unit, unit)}
            </span>
            <span className="text-sm text-muted">
              {of && of.missing > 0 ? `${of.places - of.missing} of ${of.places}` : "all"}
            </span>
            {apart.length > 0 && (
              <span className="text-sm font-semibold text-wide">? not round at {apart.join(" ")}: again</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Springs that are on them, and the way to the rest. */
export function OnThem({ head }: { head: Head }) {
  const { unit } = useSettings();
  if (head.on) return null;
  return (
    <section className="scribed rounded p-3" aria-label="Springs on them">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="text-lg">Springs on them</h2>
        <div className="flex flex-wrap gap-2">
          <Link to="/heads/$id/springs" params={{ id: head.id }} className={buttonClass()}>
            Which spring?
          </Link>
          <Link to="/heads/$id/box" params={{ id: head.id }} className={buttonClass("quiet")}>
            Sort a box
          </Link>
          <Link to="/heads/$id/assemble" params={{ id: head.id }} className={buttonClass("quiet")}>
            Assemble
          </Link>
        </div>
      </div>
      {head.springs.length === 0 && <p className="text-muted">none: the heads are bare</p>}
      <ul>
        {head.springs.map((s) => (
          <li key={s.valve} className="flex flex-wrap gap-x-3 border-t border-hair py-1">
            <strong className="w-10">{s.valve}</strong>
            <span className="min-w-28">{s.mark}</span>
            <span className="num">{heightText(s.heightIn, unit)}</span>
            <span className="text-sm text-muted">
              {[s.typeName, s.shims && `shims ${kept(s.shims, unit)}`, s.retainer, s.locks, s.locator]
                .filter(Boolean)
                .join(", ")}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

export function HeldDown({ head, onChange }: { head: Head; onChange: () => void }) {
  const { unit } = useSettings();
  const f = head.sheet.fixings;
  return (
    <section className="scribed rounded p-3" aria-label="Held down">
      <div className="flex items-center justify-between gap-2">
        <h2 className="text-lg">Held down by</h2>
        <Button look="quiet" onClick={onChange}>
          {f ? "Change" : "Write it down"}
        </Button>
      </div>
      {f ? (
        <p>
          {f.perSide} {f.kind === "STUD" ? "studs" : "bolts"} a head, {f.lubricant || "dry"},{" "}
          <b className="num text-lg">{f.stepsLbfFt.map((s) => figureText("torque", s, unit)).join(" – ")}</b>{" "}
          {unitOf("torque", unit)}, {f.chosen === "FASTENER_MAKER" ? "fastener" : "engine"} maker's figure
          {f.reason && `: ${f.reason}`}
        </p>
      ) : (
        <p className="text-muted">fixings, sequence and steps are not written yet</p>
      )}
    </section>
  );
}

export function Jobs({ head }: { head: Head }) {
  if (head.jobs.length === 0) return null;
  return (
    <section className="scribed rounded p-3" aria-label="Walks">
      <div className="flex items-center justify-between gap-2">
        <h2 className="text-lg">Walks</h2>
        <Link to="/heads/$id/book" params={{ id: head.id }} className={buttonClass("quiet")}>
          Assembly book
        </Link>
      </div>
      <ul>
        {head.jobs.map((j) => (
          <li key={j.id} className="border-t border-hair">
            <Link to="/jobs/$id" params={{ id: j.id }} className="block min-h-11 content-center">
              {j.title}{" "}
              <span className="text-muted">
                {j.signedBy
                  ? `signed by ${j.signedBy}`
                  : j.endedAt
                    ? "ended unfinished"
                    : (j.parked ?? "open")}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

export function Stays({ head }: { head: Head }) {
  const past = head.stays.filter((s) => s.toHours !== undefined);
  if (past.length === 0) return null;
  return (
    <section className="scribed rounded p-3" aria-label="Where they were">
      <h2 className="text-lg">Where they were</h2>
      <ul>
        {past.map((s) => (
          <li key={s.fromAt} className="border-t border-hair py-1">
            {s.engineName},{" "}
            <span className="num">
              {s.fromHours.toFixed(1)} to {s.toHours?.toFixed(1)} h
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
