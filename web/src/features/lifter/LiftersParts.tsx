import { Link } from "@tanstack/react-router";
import type { Schemas, Valve } from "../../api/client";
import { NextReading } from "../../plan/NextReading";
import { MARKS, MarkIcon } from "../../plan/verdict";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { type LifterShown, lineOf, mark, pressing, unknown } from "./lifterFaces";

export function Legend({ shown }: { shown: LifterShown }) {
  const drift = [
    ["WIDE", "opening"],
    ["TIGHT", "closing"],
    ["WATCH", "perhaps"],
    ["IN", "as it was"],
  ] as const;
  const verdict = (["RUN", "WATCH", "CHANGE"] as const).map((m) => [m, MARKS[m].word] as const);
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-muted">
      {(shown === "drift" ? drift : verdict).map(([m, word]) => (
        <li key={m} className="flex items-center gap-1.5">
          <MarkIcon mark={m} size={18} /> {word}
        </li>
      ))}
      <li>exhaust: double ring</li>
    </ul>
  );
}

interface HeadlineProps {
  engineId: string;
  known: Schemas["EngineLifters"];
  drift: Schemas["LashDriftView"];
  onValve: (v: Valve) => void;
}

export function Headline({ engineId, known, drift, onValve }: HeadlineProps) {
  const { unit } = useSettings();
  const worst = pressing(known.valves);
  return (
    <section className="scribed flex flex-wrap items-start gap-4 rounded p-4" aria-label="What stands out">
      <div className="min-w-60 flex-1">
        <p className="text-xl font-semibold">
          {worst.length > 0
            ? "Look at these, most pressing first"
            : known.valves.every(unknown)
              ? "Nothing is on record of these valves yet"
              : "Nothing stands out at any valve"}
        </p>
        <ul>
          {worst.slice(0, 4).map((v) => (
            <li key={v.position}>
              <button
                type="button"
                onClick={() => onValve(v.position)}
                className="flex min-h-11 w-full items-center gap-3 py-1 text-left hover:bg-raised"
              >
                <MarkIcon mark={mark(v, v.drift.strength === "FINDING" ? "drift" : "hours") ?? "LOOK"} />
                <strong className="w-10 shrink-0 underline">{v.position}</strong>
                <span className="min-w-0">
                  {lineOf(v, unit)}
                  {v.suspect && (v.drift.strength === "FINDING" || v.symptoms.includes("NOISE")) && (
                    <span className="text-muted">; first suspect: {v.suspect}</span>
                  )}
                </span>
              </button>
            </li>
          ))}
        </ul>
        <NextReading next={drift.nextReading} onValve={onValve} />
      </div>
      <Link
        to="/engines/$id/inspect"
        params={{ id: engineId }}
        className={buttonClass(worst.length > 0 ? "now" : "plain")}
      >
        Inspect
      </Link>
    </section>
  );
}

interface OthersProps {
  valves: Schemas["ValveChain"][];
  chosen: Valve;
  onValve: (v: Valve | undefined) => void;
}

/** The way from one pressing valve to the next, and back to all. */
export function Others({ valves, chosen, onValve }: OthersProps) {
  return (
    <nav aria-label="Pressing valves" className="flex flex-wrap items-center gap-2">
      <Button look="quiet" onClick={() => onValve(undefined)}>
        ← all valves
      </Button>
      {pressing(valves)
        .slice(0, 6)
        .map((v) => (
          <Button key={v.position} aria-pressed={v.position === chosen} onClick={() => onValve(v.position)}>
            <MarkIcon mark={mark(v, v.drift.strength === "FINDING" ? "drift" : "hours") ?? "LOOK"} />
            {v.position}
          </Button>
        ))}
    </nav>
  );
}
