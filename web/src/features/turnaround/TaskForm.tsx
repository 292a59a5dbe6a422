import { useState } from "react";
import * as z from "zod";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Check, Field, Select } from "../../ui/Field";
import { Sheet } from "../../ui/Sheet";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure } from "../../units/boxes";
import type { Task, Turnaround } from "./board";
import { engineName } from "./TaskCard";
import { useTask } from "./useTask";
import { taskWords, WEIGHTS } from "./words";

interface TaskFormProps {
  turnaround: Turnaround;
  /** Missing for a new one. */
  task?: Task;
  onClose: () => void;
}

const TASK = z.object({
  words: z.string(),
  engineId: z.string(),
  weight: z.enum(["MUST", "SHOULD", "COULD"]),
  minutes: figure(),
  hands: figure(),
  only: z.string(),
  after: z.string(),
  wait: figure(),
  notBefore: z.string(),
  turnsCrank: z.boolean(),
});

const NOTHING: Schemas["TaskSheet"] = { only: [], after: [], begunBy: [] };

/** A task by hand, or what is other than Shim thinks about one that it made. */
export function TaskForm({ turnaround, task, onClose }: TaskFormProps) {
  const { hand } = useSettings();
  const [id] = useState(() => task?.id ?? newId());
  const own = !task || task.kind === "BY_HAND";
  const known = task?.sheet ?? NOTHING;
  const before = known.after[0];
  const { box, choice, error, submit, trouble } = useEntry({
    schema: TASK,
    first: {
      words: known.words ?? "",
      engineId: task?.engineId ?? "",
      weight: task?.weight ?? "SHOULD",
      minutes: boxText(known.minutes),
      hands: boxText(known.hands),
      only: known.only[0] ?? "",
      after: before?.id ?? "",
      wait: boxText(before?.minutes),
      notBefore: known.notBefore ? localOf(known.notBefore) : "",
      turnsCrank: known.turnsCrank ?? !own,
    },
    fields: {
      words: "task.words",
      minutes: "task.minutes",
      hands: "task.hands",
      only: "task.only",
      after: "task.after",
      wait: "task.after[0].minutes",
    },
    send: (read) => {
      const first = read.after === "" ? [] : [{ id: read.after, minutes: read.wait ?? 0 }];
      const sheet: Schemas["TaskSheet"] = {
        ...known,
        ...(own && { words: read.words }),
        ...(own && read.engineId !== "" && { engineId: read.engineId }),
        weight: read.weight,
        only: read.only === "" ? [] : [read.only],
        after: [...first, ...known.after.slice(1)],
        turnsCrank: read.turnsCrank,
      };
      const { minutes: _minutes, hands: _hands, notBefore: _notBefore, ...rest } = sheet;
      return answered(
        api.PUT("/api/turnaround/tasks", {
          body: {
            id,
            task: {
              ...rest,
              ...(read.minutes !== undefined && { minutes: read.minutes }),
              ...(read.hands !== undefined && { hands: read.hands }),
              ...(read.notBefore !== "" && { notBefore: new Date(read.notBefore).toISOString() }),
            },
            ...(task?.version !== undefined && { basedOn: task.version }),
            ...(hand !== "" && { hand }),
          },
        }),
      );
    },
    kept: onClose,
  });
  const engines = [["", "no engine"], ...turnaround.engines.map((e) => [e.id, e.name])] as [string, string][];
  const others = turnaround.tasks
    .filter((t) => t.id !== id && t.sheet.doneAt === undefined)
    .map((t) => [t.id, `${taskWords(t)} ${engineName(turnaround, t.engineId)}`] as [string, string]);
  const hands = turnaround.hands.map((h) => [h.hand.name, h.hand.name] as [string, string]);
  const title = task ? `${taskWords(task)} ${engineName(turnaround, task.engineId)}` : "New task";
  return (
    <Sheet open onClose={onClose} title={title}>
      <form className="grid gap-3" onSubmit={submit}>
        {own && <Field label="What is to be done" autoFocus {...box("words")} />}
        {own && <Select label="On" options={engines} {...box("engineId")} />}
        <Choice label="Before the truck leaves it" options={WEIGHTS} {...choice("weight")} />
        <div className="grid grid-cols-2 gap-3">
          <Field
            label="Minutes"
            inputMode="numeric"
            placeholder={String(task?.minutes ?? 30)}
            hint={minutesHint(task)}
            {...box("minutes")}
          />
          <Field
            label="Pairs of hands"
            inputMode="numeric"
            placeholder={String(task?.hands ?? 1)}
            hint="0 where it needs nobody: a delivery, a machine shop"
            {...box("hands")}
          />
        </div>
        <Select label="Done by" options={[["", "whoever is free"], ...hands]} {...box("only")} />
        <div className="grid grid-cols-[2fr_1fr] gap-3">
          <Select label="Not before this is done" options={[["", "nothing"], ...others]} {...box("after")} />
          <Field
            label="and minutes passed"
            inputMode="numeric"
            hint="cooling, drying, sealant"
            {...box("wait")}
          />
        </div>
        <Field label="Not before" type="datetime-local" {...box("notBefore")} />
        <Check label="It turns the crank or keeps others off the engine" {...box("turnsCrank")} />
        {error("task.begunBy") && <p className="font-semibold text-tight">✕ {error("task.begunBy")}</p>}
        {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
        <div className="flex flex-wrap gap-2">
          <Button look="now" type="submit">
            Keep this task
          </Button>
          {task && own && <DoneButton task={task} onDone={onClose} />}
        </div>
      </form>
    </Sheet>
  );
}

/** A moment as a box for date and time takes it. */
function localOf(moment: string): string {
  const at = new Date(moment);
  return new Date(at.getTime() - at.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

function minutesHint(task: Task | undefined): string | undefined {
  if (!task) return undefined;
  if (task.sheet.minutes !== undefined) return "as it was typed";
  if (task.timed === 0) return "the usual; nobody has timed it yet";
  return `from the last ${task.timed === 1 ? "time" : `${task.timed} times`}`;
}

function DoneButton({ task, onDone }: { task: Task; onDone: () => void }) {
  const { done } = useTask(task);
  return (
    <Button
      onClick={() => {
        done();
        onDone();
      }}
    >
      It is done, or not needed
    </Button>
  );
}
