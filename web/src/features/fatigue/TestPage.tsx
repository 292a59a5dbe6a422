import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "@tanstack/react-router";
import { useState } from "react";
import { engine as engineQuery } from "../../api/queries";
import { HeldParcels } from "../../outbox/HeldParcels";
import { KeptHere } from "../../outbox/KeptHere";
import type { Parcel } from "../../outbox/parcel";
import { type ValveFace, ValvePlan } from "../../plan/ValvePlan";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { buttonClass } from "../../ui/Button";
import { DoneCount } from "../../ui/DoneCount";
import { Notice } from "../../ui/Notice";
import { useAtHand } from "../../ui/useAtHand";
import { loadText } from "../../units/load";
import { CheckPanel } from "./CheckPanel";
import { LoadPanel } from "./LoadPanel";
import { TestDone } from "./TestDone";
import { goOn, nextSpring, stepOf } from "./testFlow";
import { type SpringTest, type TestValve, useSpringTest } from "./useSpringTest";
import { dayText, habitText } from "./words";

/** The test at the car or the bench: check spring, every spring, check spring. */
export function TestPage() {
  const { id } = useParams({ from: "/tests/$id" });
  const work = useSpringTest(id);
  if (work.error && !work.test) return <Problem error={work.error} />;
  if (!work.test) return <Waiting />;
  return <Testing test={work.test} work={work} />;
}

interface TestingProps {
  test: SpringTest;
  work: ReturnType<typeof useSpringTest>;
}

function Testing({ test, work }: TestingProps) {
  const { unit } = useSettings();
  const engine = useQuery(engineQuery(test.engineId)).data;
  const { shown: at, put: setAt } = useAtHand(nextSpring(test, -1), work.answeredNow);
  const [passed, setPassed] = useState<ReadonlySet<string>>(new Set());
  const [checking, setChecking] = useState(false);
  const valve = at === undefined ? undefined : test.valves[at];
  const step = test.endedAt ? "DONE" : checking ? "CHECK_END" : stepOf(test, valve, passed);
  const pass = (side: string) => {
    setChecking(false);
    setPassed(new Set([...passed, side]));
  };
  const select = (position: string) => {
    const i = test.valves.findIndex((v) => v.position === position);
    if (i >= 0) setAt(i);
  };
  return (
    <div className="flex flex-1 flex-col gap-2 p-2">
      <TestBar test={test} parcels={work.parcels} engineName={engine?.name ?? ""} />
      <div className="grid min-h-0 flex-1 content-start gap-2 min-[1000px]:grid-cols-[300px_minmax(0,1fr)]">
        <section className="scribed rounded p-2" aria-label="Valve plan">
          {engine && (
            <ValvePlan
              layout={engine.layout}
              faces={faces(test, (lbf) => loadText(lbf, unit, 0))}
              selected={step === "READ" || step === "AGAIN" ? valve?.position : undefined}
              onSelect={select}
              label="Springs of this test"
              className="h-52 w-full min-[1000px]:h-[calc(100dvh-10.5rem)]"
            />
          )}
        </section>
        <div className="flex min-w-0 flex-col gap-2">
          <HeldParcels parcels={work.parcels} />
          {test.day?.warning && <Notice tone="care">{habitText(test.day.warning)}</Notice>}
          {(step === "CHECK_START" || step === "CHECK_END") && (
            <CheckPanel
              key={step}
              test={test}
              side={step === "CHECK_START" ? "START" : "END"}
              work={work}
              onPass={() => pass(step === "CHECK_START" ? "START" : "END")}
              onDone={() => setChecking(false)}
            />
          )}
          {(step === "READ" || step === "AGAIN") && valve && at !== undefined && (
            <LoadPanel
              key={valve.position}
              test={test}
              valve={valve}
              again={step === "AGAIN"}
              work={work}
              onBegin={() => setAt(at)}
              onKept={(now) => setAt(goOn(now, at))}
              onMove={(by) => setAt((at + by + test.valves.length) % test.valves.length)}
              onSkip={() => setAt(nextSpring(test, at))}
              onEnd={() => setAt(undefined)}
            />
          )}
          {step === "DONE" && <TestDone test={test} work={work} onCheck={() => setChecking(true)} />}
        </div>
      </div>
    </div>
  );
}

function faces(test: SpringTest, text: (lbf: number) => string): Record<string, ValveFace> {
  const mark = (v: TestValve): ValveFace["mark"] =>
    v.ask ? "AGAIN" : v.readings.length === 0 || v.more > 0 ? "OPEN" : "IN";
  return Object.fromEntries(
    test.valves.map((v) => [
      v.position,
      { text: v.correctedLbf === undefined ? "" : text(v.correctedLbf), mark: mark(v) },
    ]),
  );
}

interface TestBarProps {
  test: SpringTest;
  parcels: readonly Parcel[];
  engineName: string;
}

function TestBar({ test, parcels, engineName }: TestBarProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
      <h1 className="text-lg">
        <Link
          to="/engines/$id/springs"
          params={{ id: test.engineId }}
          className="no-underline hover:underline"
        >
          {engineName}
        </Link>
        , spring test {test.place === "HEAD" ? "on the head" : "on the bench"}, {test.state.toLowerCase()}
      </h1>
      <DoneCount done={test.done} all={test.valves.length} of="springs" />
      {test.day && <span className="text-muted">{dayText(test.day)}</span>}
      <span className="flex-1" />
      <Link to="/engines/$id/springs" params={{ id: test.engineId }} className={buttonClass("quiet")}>
        To the springs
      </Link>
      <KeptHere parcels={parcels} of="reading" />
    </div>
  );
}
