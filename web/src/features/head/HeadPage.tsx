import { Link, useParams } from "@tanstack/react-router";
import { useState } from "react";
import { ValvePlan } from "../../plan/ValvePlan";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { heightText } from "../../units/load";
import { FixingsForm } from "./FixingsForm";
import { HeadForm } from "./HeadForm";
import { HeldDown, Jobs, Measured, OnThem, Stays } from "./HeadParts";
import { type Head, nextOf } from "./measures";
import { OffForm } from "./OffForm";
import { useHead } from "./useHead";

/** Some heads: where they are, what is known of them, and what is done next. */
export function HeadPage() {
  const { id } = useParams({ from: "/heads/$id" });
  const { head, error } = useHead(id);
  if (!head) return error ? <Problem error={error} /> : <Waiting />;
  return <Page head={head} />;
}

function Page({ head }: { head: Head }) {
  const { unit } = useSettings();
  const [open, setOpen] = useState<"sheet" | "fixings" | "off">();
  const close = () => setOpen(undefined);
  const springs = new Map(head.springs.map((s) => [s.valve, s]));
  const heights = new Map(
    head.shows.filter((s) => s.what === "HEIGHT").map((s) => [s.place.valve ?? "", s.figure]),
  );
  const faces = Object.fromEntries(
    head.layout.banks
      .flatMap((b) => b.valves)
      .map((v) => [
        v,
        {
          text: heights.has(v) ? heightText(springs.get(v)?.heightIn ?? heights.get(v), unit) : "",
          mark: springs.has(v) ? ("HOME" as const) : ("OPEN" as const),
        },
      ]),
  );
  return (
    <div className="grid gap-3 p-3">
      <div className="flex flex-wrap items-center gap-2">
        <div className="min-w-72 flex-1">
          <h1 className="text-2xl">{head.sheet.name}</h1>
          <p className="text-muted">
            {head.on
              ? `on ${head.on.engineName} since ${head.on.fromHours.toFixed(1)} h`
              : `on the rack, for ${head.madeForName}`}
            {head.sheet.note && `; ${head.sheet.note}`}
          </p>
        </div>
        <Link to="/parts/heads" className={buttonClass("quiet")}>
          All heads
        </Link>
        <Button onClick={() => setOpen("sheet")}>Change</Button>
        <Next head={head} onOff={() => setOpen("off")} />
      </div>
      <div className="grid items-start gap-3 min-[1000px]:grid-cols-[minmax(0,1fr)_minmax(0,1.2fr)]">
        <section className="scribed rounded p-2" aria-label="Valve plan">
          <ValvePlan
            layout={head.layout}
            faces={faces}
            label="Heights, and valves that have their spring"
            className="h-[50vh] w-full"
          />
        </section>
        <div className="grid content-start gap-3">
          <Measured head={head} />
          <OnThem head={head} />
          <HeldDown head={head} onChange={() => setOpen("fixings")} />
          <Jobs head={head} />
          <Stays head={head} />
        </div>
      </div>
      {open === "sheet" && <HeadForm head={head} onClose={close} />}
      {open === "fixings" && <FixingsForm head={head} onClose={close} />}
      {open === "off" && <OffForm engineId={head.on?.engineId} onClose={close} />}
    </div>
  );
}

interface NextProps {
  head: Head;
  onOff: () => void;
}

/** What is done with them next, as one button. */
function Next({ head, onOff }: NextProps) {
  const next = nextOf(head);
  if (next === "WALK") {
    const job = head.jobs.find((j) => !j.endedAt);
    return job ? (
      <Link to="/jobs/$id" params={{ id: job.id }} className={buttonClass("now")}>
        Go on with the walk
      </Link>
    ) : null;
  }
  if (next === "OFF") {
    return (
      <Button look="now" onClick={onOff}>
        They come off
      </Button>
    );
  }
  const [to, words] = {
    MEASURE: ["/heads/$id/measure", "Measure them"],
    CHOOSE: ["/heads/$id/assemble", "Assemble them"],
    PUT_ON: ["/heads/$id/on", "Put them on an engine"],
  }[next] as ["/heads/$id/measure" | "/heads/$id/assemble" | "/heads/$id/on", string];
  return (
    <Link to={to} params={{ id: head.id }} className={buttonClass("now")}>
      {words}
    </Link>
  );
}
