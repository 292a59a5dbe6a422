import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link, useParams } from "@tanstack/react-router";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { changeRules, changeSchools } from "../../api/queries";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { Check, Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { readNumber } from "../../units/load";

type Rules = Schemas["ChangeRulesSheet"];
type Says = Schemas["SchoolSays"];

/** Where practice differs, air and gauge, and the team's torque sheet. */
export function ChangeRulesPage() {
  const { id } = useParams({ from: "/engines/$id/change-rules" });
  const rules = useQuery(changeRules(id));
  const schools = useQuery(changeSchools());
  return (
    <EngineFrame id={id}>
      {() =>
        rules.error ? (
          <Problem error={rules.error} />
        ) : rules.data && schools.data ? (
          <Form engineId={id} rules={rules.data} schools={schools.data} />
        ) : (
          <Waiting />
        )
      }
    </EngineFrame>
  );
}

const QUESTIONS = [
  ["freeing", "Freeing the locks"],
  ["proving", "Proving the locks"],
  ["plugs", "Plugs"],
  ["lubricant", "Stems and guides, assembling"],
  ["order", "Order of work"],
] as const;

const USUAL = {
  freeing: "SOFT_HAMMER_EDGE",
  proving: "TAP_SIDEWAYS",
  plugs: "LAST",
  lubricant: "ASSEMBLY_LUBE",
  order: "CYLINDER_BY_CYLINDER",
} as const;

interface TorqueText {
  of: string;
  perCylinder: boolean;
  steps: string;
  order: string;
  lubricant: string;
  source: string;
}

interface FormProps {
  engineId: string;
  rules: Rules;
  schools: Says[];
}

function Form({ engineId, rules, schools }: FormProps) {
  const { hand } = useSettings();
  const queries = useQueryClient();
  const [sheet, setSheet] = useState(rules);
  const [torques, setTorques] = useState<TorqueText[]>(() =>
    (rules.torques ?? []).map((t) => ({ ...t, steps: t.stepsLbfFt.join(" ") })),
  );
  const [unread, setUnread] = useState<string>();
  const keep = useMutation({
    mutationFn: (body: Rules) =>
      answered(
        api.PUT("/api/engines/{id}/change-rules", {
          params: { path: { id: engineId }, query: { who: hand || undefined } },
          body,
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["engines", engineId] }),
  });
  const problem = keep.error instanceof ApiProblem ? keep.error : undefined;
  const error = (f: string) => problem?.errors.find((e) => e.field.startsWith(f))?.message;
  const send = () => {
    const bad = torques.find((t) => steps(t.steps).some(Number.isNaN));
    setUnread(bad && `"${bad.steps}" are no steps: 20 40 60`);
    if (!bad) {
      keep.mutate({
        ...sheet,
        torques: torques
          .filter((t) => t.of.trim() !== "")
          .map(({ steps: text, ...t }) => ({ ...t, stepsLbfFt: steps(text) })),
      });
    }
  };
  const number = (key: "psi" | "turnsAtLbfFt" | "warnAfterMinutes" | "gaugeLowIn" | "gaugeHighIn") => ({
    defaultValue: sheet[key] ?? "",
    inputMode: "decimal" as const,
    className: "num text-lg",
    onChange: (e: { target: { value: string } }) => setSheet({ ...sheet, [key]: readNumber(e.target.value) }),
    error: Number.isNaN(sheet[key]) ? "a number" : error(key),
  });
  return (
    <form
      className="grid content-start gap-3 p-3 min-[1000px]:grid-cols-2"
      onSubmit={(e) => {
        e.preventDefault();
        send();
      }}
    >
      <section className="scribed grid content-start gap-4 rounded p-4">
        <h2 className="text-xl">Where practice differs</h2>
        {QUESTIONS.map(([key, title]) => (
          <Question
            key={key}
            title={title}
            sides={schools.filter((s) => s.question === key)}
            value={sheet[key] ?? USUAL[key]}
            onChange={(v) => setSheet({ ...sheet, [key]: v })}
          />
        ))}
        <div>
          <Check
            label="Renew the locks at every change"
            checked={sheet.renewLocks ?? false}
            onChange={(e) => setSheet({ ...sheet, renewLocks: e.target.checked })}
          />
          <p className="text-sm text-muted">{schools.find((s) => s.question === "renewLocks")?.says}</p>
        </div>
      </section>
      <div className="grid content-start gap-3">
        <section className="scribed grid gap-3 rounded p-4">
          <h2 className="text-xl">Air, gauge, warning</h2>
          <div className="grid grid-cols-2 gap-3">
            <Field label="Air, psi" hint="usual: 80" {...number("psi")} />
            <Field
              label="Torque that turns this crank, lbf·ft"
              hint="plugs out; 12 until measured"
              {...number("turnsAtLbfFt")}
            />
            <Field label="Height gauge from, in" {...number("gaugeLowIn")} />
            <Field label="Height gauge to, in" {...number("gaugeHighIn")} />
            <Field
              label="Warn harder after, min"
              hint="a valve unhooked; usual: 20"
              {...number("warnAfterMinutes")}
            />
          </div>
        </section>
        <section className="scribed grid gap-3 rounded p-4" aria-label="Torque sheet">
          <h2 className="text-xl">Torque sheet</h2>
          <p className="text-muted">
            What is undone, in steps, as your sheet gives it; initialled in the walk.
          </p>
          {torques.map((t, i) => (
            <TorqueRow
              // biome-ignore lint/suspicious/noArrayIndexKey: rows are only added and taken off at their place
              key={i}
              torque={t}
              error={error(`torques[${i}]`)}
              onChange={(next) => setTorques(torques.map((x, k) => (k === i ? next : x)))}
              onOff={() => setTorques(torques.filter((_, k) => k !== i))}
            />
          ))}
          <Button
            onClick={() =>
              setTorques([
                ...torques,
                { of: "", perCylinder: true, steps: "", order: "", lubricant: "", source: "" },
              ])
            }
          >
            Add a line
          </Button>
        </section>
        {unread && <Notice tone="stop">{unread}</Notice>}
        {problem && problem.errors.length === 0 && <Notice tone="stop">{problem.message}</Notice>}
        {keep.isSuccess && <Notice tone="know">Kept. The next plan follows it.</Notice>}
        <div className="flex gap-2">
          <Button look="now" type="submit" className="flex-1 text-xl">
            Keep these
          </Button>
          <Link to="/engines/$id/change" params={{ id: engineId }} className={buttonClass()}>
            To the plan
          </Link>
        </div>
      </div>
    </form>
  );
}

const steps = (text: string) =>
  text
    .split(/[\s;]+/)
    .filter((s) => s !== "")
    .map((s) => Number(s.replace(",", ".")));

interface QuestionProps<T extends string> {
  title: string;
  sides: Says[];
  value: T;
  onChange: (v: T) => void;
}

/** Each side with what it says for itself. */
function Question<T extends string>({ title, sides, value, onChange }: QuestionProps<T>) {
  return (
    <fieldset className="grid gap-1">
      <legend className="font-semibold">{title}</legend>
      {sides.map((s) => (
        <label key={s.value} className="flex min-h-11 items-start gap-3 border-t border-hair py-1">
          <input
            type="radio"
            name={title}
            checked={value === s.value}
            onChange={() => onChange(s.value as T)}
            className="mt-1 size-6 accent-(--accent)"
          />
          <span>
            {s.title}
            <span className="block text-sm text-muted">{s.says}</span>
          </span>
        </label>
      ))}
    </fieldset>
  );
}

interface TorqueRowProps {
  torque: TorqueText;
  error?: string;
  onChange: (t: TorqueText) => void;
  onOff: () => void;
}

function TorqueRow({ torque, error, onChange, onOff }: TorqueRowProps) {
  const box = (key: "of" | "steps" | "order" | "lubricant" | "source", label: string, hint: string) => (
    <Field
      label={label}
      hint={hint}
      value={torque[key]}
      onChange={(e) => onChange({ ...torque, [key]: e.target.value })}
      error={key === "of" ? error : undefined}
    />
  );
  return (
    <div className="grid grid-cols-2 gap-2 border-t border-hair pt-2 min-[700px]:grid-cols-3">
      {box("of", "What", "shaft bolts")}
      {box("steps", "Steps, lbf·ft", "15 25")}
      {box("order", "Order", "middle outwards")}
      {box("lubricant", "Lubricant", "engine oil")}
      {box("source", "Whose figure", "the fastener's maker")}
      <div className="grid">
        <Check
          label="each cylinder"
          checked={torque.perCylinder}
          onChange={(e) => onChange({ ...torque, perCylinder: e.target.checked })}
        />
        <Button look="quiet" onClick={onOff}>
          Take it off
        </Button>
      </div>
    </div>
  );
}
