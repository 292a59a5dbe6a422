import { useParams } from "@tanstack/react-router";
import type { Schemas } from "../../api/client";
import { ValvePlan } from "../../plan/ValvePlan";
import { MARKS, MarkIcon } from "../../plan/verdict";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { Bearing } from "./Bearing";
import { ElsePart } from "./ElsePart";
import { EmergencyPanel } from "./EmergencyPanel";
import { FindingPart } from "./FindingPart";
import { FixingTally } from "./FixingTally";
import { StepPanel } from "./StepPanel";
import { jobFaces } from "./steps";
import { useDoubt } from "./useDoubt";
import { useJob } from "./useJob";
import { Over, Parked, Signing, Standing, Steps, WalkBar } from "./WalkParts";

/** The walk at the car: one step at a time, and what stands open. */
export function WalkPage() {
  const { id } = useParams({ from: "/jobs/$id" });
  const work = useJob(id);
  if (work.error && !work.job) return <Problem error={work.error} />;
  if (!work.job) return <Waiting />;
  return <Walk job={work.job} work={work} />;
}

type Legend = [mark: "OPEN" | "HELD" | "LOOSE" | "HOME", words?: string][];

/** What the shapes at the valves mean in each kind of walk. */
const LEGENDS: Record<Schemas["JobState"]["kind"], Legend> = {
  SPRINGS: [["OPEN"], ["HELD"], ["LOOSE"], ["HOME"]],
  ASSEMBLY: [["OPEN"], ["LOOSE", "compressed, no locks"], ["HELD", "locks in, not proved"], ["HOME"]],
  HEADS_ON: [
    ["OPEN", "pushrod out"],
    ["HELD", "in its cup"],
    ["HOME", "lash or preload set"],
  ],
};

interface WalkProps {
  job: Schemas["JobView"];
  work: ReturnType<typeof useJob>;
}

function Walk({ job, work }: WalkProps) {
  const { state } = job;
  const next = state.next;
  const doubt = useDoubt(job, next);
  const doIt = (figure: number | undefined, word: string | undefined) =>
    next &&
    work.once({ act: next.act, step: next.id, cylinder: next.cylinder, valve: next.valve, figure, word });
  return (
    <div className="flex flex-1 flex-col gap-2 p-2">
      <WalkBar job={job} parcels={work.parcels} />
      <div className="grid min-h-0 flex-1 content-start gap-2 max-[999px]:grid-rows-[auto_1fr] min-[1000px]:grid-cols-[300px_minmax(0,1fr)]">
        <section className="scribed grid content-start gap-2 rounded p-2" aria-label="Valve plan">
          <ValvePlan
            layout={job.layout}
            faces={jobFaces(state)}
            selected={next?.valve}
            label="Valves of this job"
            className="h-40 w-full min-[1000px]:h-[calc(100dvh-19rem)]"
          />
          <ul className="flex flex-wrap gap-x-3 gap-y-1 text-sm text-muted">
            {LEGENDS[state.kind].map(([mark, words = MARKS[mark].word]) => (
              <li key={mark} className="flex items-center gap-1">
                <MarkIcon mark={mark} size={16} /> {words}
              </li>
            ))}
          </ul>
          <FixingTally fixings={state.fixings} />
          <Standing state={state} />
        </section>
        <div className="flex min-w-0 flex-col gap-2">
          {state.parked ? (
            <Parked parked={state.parked} onResume={() => work.once({ act: "RESUME" })} />
          ) : state.emergency ? (
            <EmergencyPanel emergency={state.emergency} others={state.otherwise} onDo={work.once} />
          ) : next && state.end === "OPEN" ? (
            <>
              <StepPanel
                key={`${next.id} ${state.acts}`}
                step={next}
                then={state.then}
                number={state.steps.filter((s) => s.done).length + 1}
                of={state.steps.length}
                refused={next.act === "SIGN" || job.bearing.offTdc ? undefined : state.refused}
                instead={job.bearing.offTdc !== undefined}
                trouble={work.refused}
                busy={work.onItsWay}
                sets={state.sets ?? "LASH"}
                doubt={doubt}
                onDo={doIt}
              >
                <Bearing job={job} step={next} onAccept={() => doIt(next.figure, "OFF_TDC")} />
              </StepPanel>
              {next.act === "SIGN" && state.signing.length > 0 && <Signing open={state.signing} />}
              <ElsePart others={state.otherwise} onDo={work.once} />
              <FindingPart findings={job.findings} valve={next.valve} find={work.find} />
              <Steps state={state} onBack={(step) => work.once({ act: "UNTICK", word: step })} />
            </>
          ) : (
            <Over job={job} />
          )}
        </div>
      </div>
    </div>
  );
}
