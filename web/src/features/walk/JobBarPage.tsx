import { Link, useParams } from "@tanstack/react-router";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { buttonClass } from "../../ui/Button";
import { BigStop } from "../lash/BigStop";
import { useJob } from "./useJob";

/** For whoever turns the crank in a walk, on a second device. */
export function JobBarPage() {
  const { id } = useParams({ from: "/jobs/$id/bar" });
  const { job, error, once } = useJob(id);
  if (error && !job) return <Problem error={error} />;
  if (!job) return <Waiting />;
  const { next, crank, title } = job.state;
  const { stop } = job.bearing;
  if (stop && next?.act === "BAR" && next.figure !== undefined) {
    const { id: step, act, figure } = next;
    return (
      <BigStop
        title={`${job.placeName}: ${next.title}`}
        stop={stop}
        toDeg={figure}
        crankDeg={crank?.deg}
        layout={job.layout}
        onThere={() => once({ act, step, figure })}
      />
    );
  }
  return (
    <div className="flex flex-1 flex-col items-center justify-center gap-6 p-6 text-center">
      <h1 className="text-2xl text-muted">
        {job.placeName}: {title.toLowerCase()}
      </h1>
      <p className="text-5xl font-bold">Hands off the crank.</p>
      <p className="text-2xl text-muted">{next ? `The walk is at: ${next.title}` : "The walk is over."}</p>
      <Link to="/jobs/$id" params={{ id }} className={buttonClass()}>
        To the walk
      </Link>
    </div>
  );
}
