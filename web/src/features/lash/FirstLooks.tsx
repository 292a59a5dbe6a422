import { Link } from "@tanstack/react-router";
import type { Schemas } from "../../api/client";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Notice } from "../../ui/Notice";
import type { LashUnit } from "../../units/lash";
import { sayOf } from "../../words/said";
import { type Round, useLooks } from "./useRound";

const TONE = { FIRST: "stop", SOON: "care", KNOW: "know" } as const;

type Look = Schemas["Look"];

/** This round by itself and all rounds up to it, most pressing first. */
export function FirstLooks({ round }: { round: Round }) {
  const { unit } = useSettings();
  const looks = useLooks(round);
  if (looks.error && !looks.data) return <Problem error={looks.error} />;
  if (!looks.data) return <Waiting />;
  const { now, onTheDay } = looks.data;
  const open = now.filter((l) => l.about !== "NOT_DONE");
  const notDone = now.length - open.length;
  return (
    <section className="grid gap-2" aria-label="Look at first">
      {open.map((l) => (
        <LookNotice key={keyOf(l)} look={l} engineId={round.engineId} />
      ))}
      {notDone > 0 && <Notice tone="care">{notDone} valves are not done yet.</Notice>}
      {now.length === 0 && (
        <Notice tone="know">
          {round.hydraulic
            ? "Every valve was left with the preload that is wanted."
            : "Every valve was left inside its tolerance, and over all rounds none goes its own way."}
        </Notice>
      )}
      {onTheDay && said(onTheDay, unit) !== said(now, unit) && <OnTheDay looks={onTheDay} />}
    </section>
  );
}

const keyOf = (l: Look) => JSON.stringify([l.position, l.said]);

/** Figures that moved by a hair are the same thing said. */
const said = (looks: Look[], unit: LashUnit) => looks.map((l) => sayOf(l.position, l.said, unit)).join("\n");

function LookNotice({ look, engineId }: { look: Look; engineId: string }) {
  const { unit } = useSettings();
  return (
    <Notice tone={TONE[look.weight]}>
      {sayOf(look.position, look.said, unit)}
      {look.position && (
        <Link
          to="/engines/$id/lifters"
          params={{ id: engineId }}
          search={{ valve: look.position }}
          className="ml-2 whitespace-nowrap"
        >
          all its rounds
        </Link>
      )}
    </Notice>
  );
}

/** What Shim said when the round was signed, where it says something else today. */
function OnTheDay({ looks }: { looks: Look[] }) {
  const { unit } = useSettings();
  return (
    <details className="scribed rounded px-4">
      <summary className="min-h-11 cursor-pointer content-center font-semibold">
        When it was signed Shim said something else
      </summary>
      {looks.length === 0 ? (
        <p>Nothing to look at.</p>
      ) : (
        <ul>
          {looks.map((l) => (
            <li key={keyOf(l)}>{sayOf(l.position, l.said, unit)}</li>
          ))}
        </ul>
      )}
    </details>
  );
}
