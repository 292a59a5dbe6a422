import { useQuery } from "@tanstack/react-query";
import { Link, useNavigate, useParams } from "@tanstack/react-router";
import { useEffect, useState } from "react";
import { roundTest } from "../../api/queries";
import { ValvePlan } from "../../plan/ValvePlan";
import { Waiting } from "../../shell/EngineFrame";
import { InlineInitials } from "../../shell/Initials";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { useNarrow } from "../../ui/useNarrow";
import { useSpringTest } from "../fatigue/useSpringTest";
import { nextValve } from "./flow";
import { PassedStop } from "./PassedStop";
import { roundFaces } from "./roundFaces";
import { SpringStop } from "./SpringStop";
import { StopGuide } from "./StopGuide";
import { type OnePass, useOnePass } from "./useOnePass";
import { type Round, useRound, type ValveView } from "./useRound";
import { ValvePanel } from "./ValvePanel";

/** The round at the car: bar, read, set, lock, read again, next; its springs in the same pass where wanted. */
export function RoundPage() {
  const { id } = useParams({ from: "/rounds/$id" });
  const work = useRound(id);
  const springs = useQuery(roundTest(id));
  if (work.error && !work.round) return <Problem error={work.error} />;
  if (!work.round || springs.isPending) return <Waiting />;
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
  const narrow = useNarrow();
  const pass = useOnePass(springs);
  const pendingLeft = (v: ValveView) => work.pending(v.position, "LEFT");
  const [at, setAt] = useState(() => nextValve(round, -1, pendingLeft) ?? 0);
  const [passed, setPassed] = useState(false);
  const { unit } = useSettings();
  const valve = round.valves[at];
  const stop = round.plan.stops.find((s) => s.number === valve.stop) ?? round.plan.stops[0];
  const there = round.crankDeg !== undefined && Math.abs(round.crankDeg - stop.crankDeg) < 0.5;
  const ended = Boolean(round.signedBy);

  useEffect(() => {
    if (ended) void navigate({ to: "/rounds/$id/end", params: { id: round.id } });
  }, [ended, navigate, round.id]);

  const toTheEnd = () =>
    pass && !pass.test.endedAt
      ? void navigate({ to: "/tests/$id", params: { id: pass.test.id } })
      : void navigate({ to: "/rounds/$id/end", params: { id: round.id } });
  const toNextValve = (now: Round) => {
    pass?.turnTo();
    const next = nextValve(now, at, pendingLeft);
    if (next === undefined) toTheEnd();
    else setAt(next);
  };
  /** Works on the round as just answered, not on the one before it. */
  const goOn = (now: Round) => {
    const putOff = now.valves.some((v) => v.position === valve.position && v.status === "SKIPPED");
    if (!putOff && pass?.wants(valve.position)) pass.turnTo(valve.position);
    else toNextValve(now);
  };
  const move = (by: number) => {
    pass?.turnTo();
    setAt((at + by + round.valves.length) % round.valves.length);
  };
  const select = (position: string) => {
    pass?.turnTo();
    const index = round.valves.findIndex((v) => v.position === position);
    if (index >= 0) setAt(index);
  };

  return (
    <div className="flex flex-1 flex-col gap-2 p-2">
      <RoundBar round={round} unsent={work.unsent + (springs?.unsent ?? 0)} pass={pass} />
      <div className="grid min-h-0 flex-1 gap-2 max-[999px]:grid-rows-[auto_1fr] min-[1000px]:grid-cols-[300px_minmax(0,1fr)]">
        <section className="scribed rounded p-2" aria-label="Valve plan">
          <ValvePlan
            layout={round.layout}
            faces={roundFaces(round, stop.number, unit)}
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
                work.crank.mutate(crankDeg);
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
                  onThere={() => work.crank.mutate(stop.crankDeg)}
                  onPassed={() => setPassed(true)}
                />
              )}
              {pass && (pass.wantsCheck || pass.spring) ? (
                <SpringStop pass={pass} onDone={() => toNextValve(round)} onMove={move} />
              ) : (
                <ValvePanel
                  key={valve.position}
                  round={round}
                  valve={valve}
                  work={work}
                  there={there}
                  onThere={() => work.crank.mutate(stop.crankDeg)}
                  onPassed={() => setPassed(true)}
                  onNext={goOn}
                  onMove={move}
                  narrow={narrow}
                />
              )}
            </>
          )}
        </div>
      </div>
    </div>
  );
}

/** Whose round, how far, and whether everything is safe. */
function RoundBar({ round, unsent, pass }: { round: Round; unsent: number; pass?: OnePass }) {
  const settings = useSettings();
  const { hand, setHand } = settings;
  const began = round.hand;
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, for a box being emptied must stay empty
  useEffect(() => {
    if (hand === "") setHand(began);
  }, []);
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
      <h1 className="text-lg">
        <Link to="/engines/$id" params={{ id: round.engineId }} className="no-underline hover:underline">
          {round.engineName}
        </Link>
        , {round.state.toLowerCase()} {round.hydraulic ? "preload" : "lash"} round
      </h1>
      <span
        className="num text-2xl"
        role="status"
        aria-label={`${round.done} of ${round.valves.length} valves done`}
      >
        {round.done}/{round.valves.length}
      </span>
      {pass && (
        <span className="text-muted">
          springs{" "}
          <span className="num text-2xl text-ink">
            {pass.test.done}/{pass.test.valves.length}
          </span>
        </span>
      )}
      <InlineInitials word="read by" label="Initials of who reads" />
      <span className="flex-1" />
      <Link to="/rounds/$id/bar" params={{ id: round.id }} className={buttonClass("quiet")}>
        For the crank
      </Link>
      <Link to="/rounds/$id/end" params={{ id: round.id }} className={buttonClass("plain")}>
        End of round
      </Link>
      {unsent > 0 && (
        <div className="basis-full">
          <Notice tone="care">
            {unsent} {unsent === 1 ? "figure is" : "figures are"} kept on this device: Shim does not answer.
            Go on; they are sent as soon as it does.
          </Notice>
        </div>
      )}
    </div>
  );
}
