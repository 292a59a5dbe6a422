import { Link } from "@tanstack/react-router";
import { Check, Play } from "lucide-react";
import { Button, buttonClass } from "../../ui/Button";
import type { Planned, Task, Turnaround } from "./board";
import { useTask } from "./useTask";
import { at, causeWords, duration, taskPage, taskWords } from "./words";

interface TaskLineProps {
  planned: Planned;
  turnaround: Turnaround;
  onEdit: (t: Task) => void;
}

export const engineName = (t: Turnaround, id: string | undefined) =>
  t.engines.find((e) => e.id === id)?.name ?? "";

export const nameOf = (t: Turnaround) => (id: string) => {
  const task = t.tasks.find((x) => x.id === id);
  return task ? taskWords(task) : "";
};

/** The one thing a hand does now: what, on which engine, until when, and the way there. */
export function NowCard({ planned, turnaround, onEdit }: TaskLineProps) {
  const { task, placed } = planned;
  const { begin, done, trouble } = useTask(task);
  const page = taskPage(task);
  const begun = task.sheet.begunAt !== undefined;
  return (
    <div className="grid gap-2 rounded border-2 border-accent bg-raised p-3">
      <button type="button" className="min-h-11 text-left" onClick={() => onEdit(task)}>
        <span className="block text-xl font-bold">{taskWords(task)}</span>
        <span className="text-muted">
          {engineName(turnaround, task.engineId)} {begun ? "· until about " : "· "}
          <span className="num text-lg text-ink">
            {begun ? at(placed.end, turnaround.now) : at(placed.start, turnaround.now)}
          </span>
          {!begun && ` · ${duration(task.minutes)}`}
        </span>
      </button>
      <div className="flex flex-wrap gap-2">
        {page && (
          <Link to={page.to} className={buttonClass("now")}>
            {page.words}
          </Link>
        )}
        {!begun && (
          <Button look={page ? "plain" : "now"} onClick={() => begin(placed.hands)}>
            <Play aria-hidden className="size-5" /> Begin
          </Button>
        )}
        {begun && task.kind === "BY_HAND" && (
          <Button look="now" onClick={() => done()}>
            <Check aria-hidden className="size-5" /> Done
          </Button>
        )}
      </div>
      {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
    </div>
  );
}

/** A task that comes later, with why not earlier. */
export function ThenLine({ planned, turnaround, onEdit }: TaskLineProps) {
  const { task, placed } = planned;
  const why = causeWords(placed, nameOf(turnaround));
  const decides = turnaround.plan?.chain.includes(task.id) ?? false;
  return (
    <li className="border-t border-hair">
      <button
        type="button"
        onClick={() => onEdit(task)}
        className="flex min-h-11 w-full items-baseline gap-3 py-1 text-left hover:bg-raised"
      >
        <span className="num w-20 shrink-0 text-lg">{at(placed.start, turnaround.now)}</span>
        <span className="min-w-0 flex-1">
          <span className="font-semibold">{taskWords(task)}</span>{" "}
          <span className="text-muted">{engineName(turnaround, task.engineId)}</span>
          <span className="block text-sm text-muted">
            {decides && <span className="font-semibold text-accent">decides the end · </span>}
            {[task.weight.toLowerCase(), why].filter(Boolean).join(", ")}
          </span>
        </span>
      </button>
    </li>
  );
}
