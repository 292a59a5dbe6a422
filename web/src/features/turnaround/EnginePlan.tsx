import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { turnaround as turnaroundQuery } from "../../api/queries";
import { planned, type Task } from "./board";
import { at, LEFT, taskWords } from "./words";

/** One engine's own part of the plan. */
export function EnginePlan({ engineId }: { engineId: string }) {
  const t = useQuery(turnaroundQuery()).data;
  if (!t?.plan) return null;
  const own = planned(t).filter((p) => p.task.engineId === engineId);
  const left = t.plan.left.flatMap((l) => {
    const task = t.tasks.find((x) => x.id === l.id && x.engineId === engineId);
    return task ? [{ task, why: LEFT[l.why] }] : [];
  });
  if (own.length + left.length === 0) return null;
  const chain = new Set(t.plan.chain);
  const name = (task: Task) => (
    <span className="min-w-40 flex-1">
      {taskWords(task)}
      {task.weight === "MUST" && <span className="text-sm text-muted"> must</span>}
    </span>
  );
  return (
    <section className="scribed rounded p-4" aria-label="Its part of the plan">
      <h2 className="flex items-center justify-between text-lg">
        Its part of the plan
        <Link to="/" className="text-sm font-semibold">
          The whole plan
        </Link>
      </h2>
      <ul>
        {own.map(({ task, placed }) => (
          <li key={task.id} className="flex flex-wrap items-center gap-x-3 border-t border-hair py-1.5">
            <span className="num w-28 text-lg">{at(placed.start, t.now)}</span>
            {name(task)}
            {chain.has(task.id) && <span className="text-sm text-accent">decides the end</span>}
            <span className="text-muted">{placed.hands.join(", ")}</span>
          </li>
        ))}
        {left.map(({ task, why }) => (
          <li key={task.id} className="flex flex-wrap items-center gap-x-3 border-t border-hair py-1.5">
            <span className="w-28 text-sm text-muted">not planned</span>
            {name(task)}
            <span className="text-sm text-muted">{why}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
