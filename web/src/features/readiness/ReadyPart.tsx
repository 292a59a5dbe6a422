import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import type { Schemas } from "../../api/client";
import { engineReadiness } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { reasonWords } from "./words";

type Reason = Schemas["ReadinessReason"];
type State = Reason["asks"];

/** How a state is marked, wherever it is shown. */
export const STATES: Record<State, { shape: string; word: string; color: string; tone: string }> = {
  READY: { shape: "✓", word: "ready", color: "var(--ok)", tone: "text-ok" },
  READY_BUT: { shape: "!", word: "ready, but", color: "var(--wide)", tone: "text-wide" },
  NOT_READY: { shape: "✕", word: "not ready", color: "var(--tight)", tone: "text-tight" },
};

const AREAS: Record<Reason["area"], string> = {
  SPRINGS: "Springs",
  LASH: "Lash",
  LIFTERS: "Lifters",
  WORK: "Open work",
};

/** Ready, ready but, or not ready: one sentence, one picture, and each reason a link. */
export function ReadyPart({ engineId }: { engineId: string }) {
  const ready = useQuery(engineReadiness(engineId)).data;
  if (!ready) return null;
  return (
    <section className="scribed grid gap-2 rounded p-4" aria-label="Readiness">
      <div className="flex flex-wrap items-center gap-4">
        <Picture areas={ready.areas} state={ready.state} />
        <div className="min-w-60 flex-1">
          <p className={`text-xl font-semibold ${STATES[ready.state].tone}`}>
            {STATES[ready.state].shape} {ready.state === "NOT_READY" ? "not ready" : "ready"} for{" "}
            {ready.eventName}
            {ready.state === "READY_BUT" && ", but:"}
          </p>
          <ul>
            {ready.reasons.slice(0, 7).map((r) => (
              <li key={r.code + r.positions.join() + r.because}>
                <ReasonLink engineId={engineId} reason={r} />
              </li>
            ))}
            {ready.reasons.length > 7 && <li className="text-muted">and {ready.reasons.length - 7} more</li>}
          </ul>
          {ready.reasons.length === 0 && (
            <p className="text-muted">Nothing measured speaks against the next event.</p>
          )}
        </div>
      </div>
    </section>
  );
}

/** One line for a card: the state, and which areas it comes from. */
export function ReadyLine({ engineId }: { engineId: string }) {
  const ready = useQuery(engineReadiness(engineId)).data;
  if (!ready) return null;
  const from = ready.areas.filter((a) => a.state === ready.state && a.reasons > 0);
  return (
    <p className={`font-semibold ${STATES[ready.state].tone}`}>
      <Link to="/engines/$id" params={{ id: engineId }} className="no-underline hover:underline">
        {STATES[ready.state].shape} {STATES[ready.state].word}
        {from.length > 0 && `: ${from.map((a) => AREAS[a.area].toLowerCase()).join(", ")}`}
      </Link>
    </p>
  );
}

const LINK = "underline decoration-hair underline-offset-4 hover:decoration-line";

function ReasonLink({ engineId, reason }: { engineId: string; reason: Reason }) {
  const { unit } = useSettings();
  const words = (
    <>
      <span className={STATES[reason.asks].tone} aria-hidden>
        {STATES[reason.asks].shape}
      </span>{" "}
      {reasonWords(reason, unit)}
    </>
  );
  const params = { id: engineId };
  if (reason.area === "WORK" && reason.reference) {
    return (
      <Link to="/jobs/$id" params={{ id: reason.reference }} className={LINK}>
        {words}
      </Link>
    );
  }
  if (reason.area === "LASH" && reason.reference) {
    return (
      <Link to="/rounds/$id" params={{ id: reason.reference }} className={LINK}>
        {words}
      </Link>
    );
  }
  if (reason.area === "SPRINGS") {
    return (
      <Link to="/engines/$id/springs" params={params} className={LINK}>
        {words}
      </Link>
    );
  }
  if (reason.area === "WORK" || (reason.area === "LASH" && reason.positions.length === 0)) {
    return (
      <Link
        to={reason.area === "WORK" ? "/engines/$id" : "/engines/$id/start"}
        params={params}
        className={LINK}
      >
        {words}
      </Link>
    );
  }
  return (
    <Link to="/engines/$id/lifters" params={params} search={{ valve: reason.positions[0] }} className={LINK}>
      {words}
    </Link>
  );
}

/** Four gauges laid to one line: an area that stands out of line is not ready. */
function Picture({ areas, state }: { areas: Schemas["ReadinessArea"][]; state: State }) {
  const drop: Record<State, number> = { READY: 0, READY_BUT: 14, NOT_READY: 34 };
  return (
    <svg
      viewBox="0 0 216 104"
      className="h-28 w-54 shrink-0"
      role="img"
      aria-label={`${STATES[state].word}: ${areas.map((a) => `${AREAS[a.area]} ${STATES[a.state].word}`).join(", ")}`}
    >
      <line x1={4} x2={212} y1={24} y2={24} stroke="var(--line)" strokeDasharray="14 4 3 4" />
      {areas.map((a, i) => {
        const y = 24 + drop[a.state];
        return (
          <g key={a.area} transform={`translate(${6 + i * 52} 0)`}>
            <rect
              x={4}
              width={40}
              y={y}
              height={84 - y}
              fill={a.state === "READY" ? "none" : STATES[a.state].color}
              fillOpacity={0.25}
              stroke={STATES[a.state].color}
              strokeWidth={2}
            />
            <text
              x={24}
              y={y + 17}
              textAnchor="middle"
              fontSize={16}
              fontWeight={800}
              fill={STATES[a.state].color}
            >
              {STATES[a.state].shape}
            </text>
            <text x={24} y={99} textAnchor="middle" fontSize={11.5} fill="var(--muted)">
              {AREAS[a.area]}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
