import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "@tanstack/react-router";
import { roundTest, springTest } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { EngineTabs, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { FirstLooks } from "./FirstLooks";
import { Adjusted, Corrections, Figures, Swaps } from "./RoundParts";
import { roundFaces } from "./roundFaces";
import { SignOff } from "./SignOff";
import { useRound } from "./useRound";

/** What the round says, what to look at first, and the signature. */
export function EndPage() {
  const { id } = useParams({ from: "/rounds/$id/end" });
  const { round, error, parcels } = useRound(id);
  const { unit } = useSettings();
  if (error && !round) return <Problem error={error} />;
  if (!round) return <Waiting />;
  return (
    <>
      <EngineTabs id={round.engineId} name={round.engineName} />
      <div className="grid gap-3 p-3 min-[1000px]:grid-cols-[320px_minmax(0,1fr)]">
        <section className="scribed self-start rounded p-3" aria-label="Valve plan">
          <ValvePlan
            layout={round.layout}
            faces={roundFaces(round, -1, unit)}
            label="As left"
            className="max-h-[38vh] w-full min-[1000px]:max-h-[70vh]"
          />
        </section>
        <div className="flex min-w-0 flex-col gap-3">
          <header className="flex flex-wrap items-center gap-3">
            <h2 className="flex-1 text-xl">
              {round.state === "HOT" ? "Hot" : "Cold"} round at {round.engineHours} h: {round.done} of{" "}
              {round.valves.length} valves
            </h2>
            {!round.signedBy && (
              <Link
                to="/rounds/$id"
                params={{ id: round.id }}
                className={buttonClass(round.done < round.valves.length ? "now" : "plain")}
              >
                {round.done < round.valves.length ? "Go on with the round" : "Back to the valves"}
              </Link>
            )}
            <Link to="/rounds/$id/sheet" params={{ id: round.id }} className={buttonClass()}>
              Lash sheet
            </Link>
          </header>
          <OpenSprings roundId={round.id} />
          <FirstLooks round={round} />
          <Adjusted round={round} />
          <Swaps round={round} />
          <SignOff round={round} waits={parcels} />
          <Figures round={round} />
          <Corrections id={round.id} />
        </div>
      </div>
    </>
  );
}

/** The spring test begun with this round, while it is open. */
function OpenSprings({ roundId }: { roundId: string }) {
  const testId = useQuery(roundTest(roundId)).data?.testId ?? "";
  const test = useQuery({ ...springTest(testId), enabled: testId !== "" }).data;
  if (!test || test.endedAt) return null;
  return (
    <Notice tone="ask">
      The spring test of this round is open, {test.done} of {test.valves.length} read:{" "}
      <Link to="/tests/$id" params={{ id: testId }}>
        go on with it
      </Link>
      .
    </Notice>
  );
}
