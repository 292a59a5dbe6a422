import { useQuery } from "@tanstack/react-query";
import { useNavigate, useParams, useSearch } from "@tanstack/react-router";
import { useEffect, useState } from "react";
import { roundTest } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { nth } from "../../ui/nth";
import { useSpringTest } from "../fatigue/useSpringTest";
import { PassedStop } from "./PassedStop";
import { RoundBar } from "./RoundBar";
import { roundFaces } from "./roundFaces";
import { type Act, type Hand, isThere, type Outcome, stopOf } from "./roundFlow";
import { SpringStop } from "./SpringStop";
import { StopGuide } from "./StopGuide";
import { useOnePass } from "./useOnePass";
import { type Round, useRound } from "./useRound";
import { useRoundEntry } from "./useRoundEntry";
import { ValvePanel } from "./ValvePanel";

/** The round at the car: bar, read, set, lock, read again, next; its springs in the same pass where wanted. */
export function RoundPage() {
  const { id } = useParams({ from: "/rounds/$id" });
  const work = useRound(id);
  const springs = useQuery(roundTest(id));
  if (work.error && !work.round) return <Problem error={work.error} />;
  if (!work.round || (springs.isPending && !springs.isError)) return <Waiting />;
  const testId = springs.data?.testId;
  return testId ? (
    <WithSprings testId={testId} round={work.round} work={work} />
  ) : (
    <AtTheCar round={work.round} work={work} />
  );
}

interface AtTheCarProps {
  round: Round;
  work: ReturnType<typeof useRound>;
  springs?: ReturnType<typeof useSpringTest>;
}

function WithSprings({ testId, round, work }: AtTheCarProps & { testId: string }) {
  const springs = useSpringTest(testId);
  if (springs.error && !springs.test) return <Problem error={springs.error} />;
  if (!springs.test) return <Waiting />;
  return <AtTheCar round={round} work={work} springs={springs} />;
}

function AtTheCar({ round, work, springs }: AtTheCarProps) {
  const navigate = useNavigate();
  const { unit } = useSettings();
  const pass = useOnePass(springs);
  const [passed, setPassed] = useState(false);
  const { valve: asked } = useSearch({ from: "/rounds/$id" });
  const toTheEnd = () =>
    pass && !pass.test.endedAt
      ? void navigate({ to: "/tests/$id", params: { id: pass.test.id } })
      : void navigate({ to: "/rounds/$id/end", params: { id: round.id } });

  /** A valve whose lash is done may want its spring read before the round goes on. */
  const goes = (out: Outcome, before: Hand, act: Act): Hand => {
    if (out.goes === undefined) return out.hand;
    const here = nth(round.valves, before.at).position;
    if ((act.do === "enter" || act.do === "setAnyway") && pass?.wants(here)) {
      pass.turnTo(here);
      return { ...out.hand, at: before.at };
    }
    pass?.turnTo();
    if (out.goes === "END") toTheEnd();
    return out.hand;
  };
  const { inHand, act } = useRoundEntry(round, work.hand, work.answeredNow, goes);
  const valve = nth(round.valves, inHand.at);
  const stop = stopOf(round, valve);
  const there = isThere(round, valve);
  const ended = Boolean(round.signedBy);

  useEffect(() => {
    if (ended) void navigate({ to: "/rounds/$id/end", params: { id: round.id } });
  }, [ended, navigate, round.id]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, for a page opened at one valve
  useEffect(() => {
    if (asked) act({ do: "select", valve: asked });
  }, []);

  const move = (by: number) => {
    pass?.turnTo();
    act({ do: "move", by });
  };
  const select = (position: string) => {
    pass?.turnTo();
    act({ do: "select", valve: position });
  };

  return (
    <div className="flex flex-1 flex-col gap-2 p-2">
      <RoundBar round={round} parcels={[...work.parcels, ...(springs?.parcels ?? [])]} pass={pass} />
      <div className="grid min-h-0 flex-1 gap-2 max-[999px]:grid-rows-[auto_1fr] min-[1000px]:grid-cols-[300px_minmax(0,1fr)]">
        <section className="scribed rounded p-2" aria-label="Valve plan">
          <ValvePlan
            layout={round.layout}
            faces={roundFaces(round, stop.number, unit, work.parcels)}
            selected={valve.position}
            onSelect={select}
            label="Valves of this round"
            className="h-36 w-full min-[1000px]:h-[calc(100dvh-10.5rem)]"
          />
        </section>
        <div className="flex min-w-0 flex-col gap-2">
          {passed ? (
            <PassedStop
              round={round}
              stop={stop}
              onSet={(position, crankDeg) => {
                act({ do: "there", crankDeg });
                select(position);
                setPassed(false);
              }}
              onRound={() => setPassed(false)}
            />
          ) : (
            <>
              {!pass?.wantsCheck && (
                <StopGuide
                  stop={stop}
                  stops={round.plan.stops.length}
                  there={there}
                  elsewhere={round.crankDeg !== undefined && !there}
                  onThere={() => act({ do: "there" })}
                  onPassed={() => setPassed(true)}
                />
              )}
              {pass && (pass.wantsCheck || pass.spring) ? (
                <SpringStop pass={pass} onDone={() => act({ do: "next" })} onMove={move} />
              ) : (
                <ValvePanel
                  round={round}
                  valve={valve}
                  inHand={inHand}
                  parcels={work.parcels}
                  there={there}
                  act={act}
                  onPassed={() => setPassed(true)}
                  onMove={move}
                />
              )}
            </>
          )}
        </div>
      </div>
    </div>
  );
}
