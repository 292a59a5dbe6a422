import { useState } from "react";
import { Button } from "../../ui/Button";
import { lanes, type Task, type Turnaround } from "./board";
import { NowCard, ThenLine } from "./TaskCard";

/** So many of what comes later are shown before the rest is asked for. */
const SHOWN = 4;

interface HandsProps {
  turnaround: Turnaround;
  onEdit: (x: Task) => void;
}

/** Hand by hand: the one thing to do now, and what comes then. */
export function Hands({ turnaround, onEdit }: HandsProps) {
  return (
    <div className="grid grid-cols-[repeat(auto-fit,minmax(17rem,1fr))] items-start gap-3">
      {lanes(turnaround).map((lane) => (
        <Hand key={lane.hand} lane={lane} turnaround={turnaround} onEdit={onEdit} />
      ))}
    </div>
  );
}

function Hand({ lane, turnaround, onEdit }: HandsProps & { lane: ReturnType<typeof lanes>[number] }) {
  const [all, setAll] = useState(false);
  const now = lane.at ?? lane.now;
  const hidden = all ? 0 : lane.later.length - SHOWN;
  return (
    <section className="scribed grid gap-2 rounded p-3" aria-label={lane.hand}>
      <h3 className="text-xl">{lane.hand}</h3>
      {now ? (
        <NowCard planned={now} turnaround={turnaround} onEdit={onEdit} />
      ) : (
        <p className="text-muted">{turnaround.plan ? "nothing to do" : "one moment …"}</p>
      )}
      <ul>
        {(all ? lane.later : lane.later.slice(0, SHOWN)).map((p) => (
          <ThenLine key={p.task.id} planned={p} turnaround={turnaround} onEdit={onEdit} />
        ))}
      </ul>
      {hidden > 0 && (
        <Button look="quiet" onClick={() => setAll(true)}>
          and {hidden} more
        </Button>
      )}
    </section>
  );
}
