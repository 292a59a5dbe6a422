import { Link } from "@tanstack/react-router";
import type { Schemas, Valve } from "../../api/client";
import { NextReading } from "../../plan/NextReading";
import { buttonClass } from "../../ui/Button";
import { nth } from "../../ui/nth";
import { adviceTexts } from "./words";

export interface PartProps {
  known: Schemas["EngineSprings"];
  onValve: (v: Valve | undefined) => void;
}

export function Headline({ engineId, known, onValve }: PartProps & { engineId: string }) {
  const [advice, ...more] = known.advice ? adviceTexts(known.advice) : [];
  const next = nth(known.coming, 0);
  const change = known.springs.filter((s) => s.said.verdict === "CHANGE");
  const again = known.springs.filter((s) => s.said.waits);
  const watch = known.springs.filter((s) => s.said.verdict === "WATCH" && !s.said.waits);
  const unread = known.springs.filter((s) => s.said.verdict === "NOT_TESTED");
  const untested = unread.length === known.springs.length;
  const named = [change, again, watch, unread].find((list) => list.length > 0) ?? [];
  return (
    <section className="scribed grid gap-3 rounded p-4" aria-label="What to do">
      <div className="flex flex-wrap items-center gap-4">
        <div className="basis-full">
          <p className="text-xl font-semibold">
            {untested
              ? "No test yet: test the springs"
              : change.length > 0
                ? "Change before the next event:"
                : again.length > 0
                  ? "Read again before you change or run:"
                  : watch.length > 0
                    ? "All may run; watch:"
                    : unread.length > 0
                      ? "Good to the end of the next event, but not tested yet:"
                      : "All springs are good to the end of the next event"}{" "}
            {!untested &&
              named.map((s) => (
                <button
                  key={s.position}
                  type="button"
                  onClick={() => onValve(s.position)}
                  className="mx-0.5 min-h-11 min-w-11 rounded border border-hair bg-raised px-2 underline"
                >
                  {s.position}
                </button>
              ))}
          </p>
          <p className="text-muted">
            {next.name}
            {next.date && `, ${next.date}`}, {next.plannedHours} h: from{" "}
            <span className="num text-lg">{known.engineHours.toFixed(1)}</span> to{" "}
            <span className="num text-lg">{next.endHours.toFixed(1)}</span> engine hours
          </p>
        </div>
        <div className="basis-full">
          {change.length > 0 && again.length > 0 && (
            <p className="text-lg font-semibold">
              Read again before you change or run: {again.map((s) => s.position).join(", ")}
            </p>
          )}
          {again.length === 0 && <NextReading next={known.nextReading} onValve={onValve} />}
        </div>
        <div className="flex flex-wrap gap-2">
          {known.openTest ? (
            <Link to="/tests/$id" params={{ id: known.openTest }} className={buttonClass("now")}>
              Go on with the test
            </Link>
          ) : (
            <Link
              to="/engines/$id/test"
              params={{ id: engineId }}
              className={buttonClass(change.length > 0 ? "plain" : "now")}
            >
              Test springs
            </Link>
          )}
          <Link
            to="/engines/$id/change"
            params={{ id: engineId }}
            className={buttonClass(change.length > 0 && !known.openTest ? "now" : "plain")}
          >
            Change springs
          </Link>
          <Link to="/engines/$id/setup/springs" params={{ id: engineId }} className={buttonClass()}>
            Parts and limits
          </Link>
          <Link to="/engines/$id/spring-sheet" params={{ id: engineId }} className={buttonClass("quiet")}>
            Print
          </Link>
        </div>
      </div>
      {advice && (
        <details>
          <summary className="min-h-11 content-center font-semibold">{advice}</summary>
          {more.map((a) => (
            <p key={a} className="text-muted">
              {a}
            </p>
          ))}
        </details>
      )}
    </section>
  );
}
