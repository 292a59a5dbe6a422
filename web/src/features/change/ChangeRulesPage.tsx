import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "@tanstack/react-router";
import { useFieldArray } from "react-hook-form";
import type { Schemas } from "../../api/client";
import { changeRules, changeSchools, engine as engineQuery } from "../../api/queries";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { Check, Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { heightUnit } from "../../units/load";
import { figureText, unitOf } from "../../units/measures";
import { Question } from "./Question";
import { TorqueRow } from "./TorqueRow";
import { BLANK_TORQUE, useRulesEntry } from "./useRulesEntry";

type Rules = Schemas["ChangeRulesSheet"];
type Says = Schemas["SchoolSays"];

/** Where practice differs, air and gauge, and the team's torque sheet. */
export function ChangeRulesPage() {
  const { id } = useParams({ from: "/engines/$id/setup/changes" });
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
  ["plugsOut", "Plugs out"],
  ["plugs", "Plugs in"],
  ["lubricant", "Stems and guides, assembling"],
  ["order", "Order of work"],
] as const;

const NUMBER = { inputMode: "decimal", className: "num text-lg" } as const;

interface FormProps {
  engineId: string;
  rules: Rules;
  schools: Says[];
}

function Form({ engineId, rules, schools }: FormProps) {
  const { unit } = useSettings();
  const also = useQuery(engineQuery(engineId)).data?.sheet.use?.unit;
  const entry = useRulesEntry(engineId, rules);
  const { form, box, choice, submit, kept, trouble } = entry;
  const torques = useFieldArray({ control: form.control, name: "torques" });
  return (
    <form className="grid content-start gap-3 p-3 min-[1000px]:grid-cols-2" onSubmit={submit}>
      <section className="scribed grid content-start gap-4 rounded p-4">
        <h2 className="text-xl">Where practice differs</h2>
        {QUESTIONS.map(([key, title]) => (
          <Question
            key={key}
            title={title}
            sides={schools.filter((s) => s.question === key)}
            {...choice(key)}
          />
        ))}
        <div>
          <Check label="Renew the locks at every change" {...box("renewLocks")} />
          <p className="text-sm text-muted">{schools.find((s) => s.question === "renewLocks")?.says}</p>
        </div>
      </section>
      <div className="grid content-start gap-3">
        <section className="scribed grid gap-3 rounded p-4">
          <h2 className="text-xl">Air, gauge, warning</h2>
          <div className="grid grid-cols-2 gap-3">
            <Field
              label={`Air, ${unitOf("pressure", unit)}`}
              hint={`usual: ${figureText("pressure", 80, unit)}`}
              {...NUMBER}
              {...box("psi")}
            />
            <Field
              label={`Torque that turns this crank, ${unitOf("torque", unit)}`}
              hint={`plugs out; ${figureText("torque", 12, unit)} until measured`}
              {...NUMBER}
              {...box("turnsAtLbfFt")}
            />
            <Field label={`Height gauge from, ${heightUnit(unit)}`} {...NUMBER} {...box("gaugeLowIn")} />
            <Field label={`Height gauge to, ${heightUnit(unit)}`} {...NUMBER} {...box("gaugeHighIn")} />
            <Field
              label="Warn harder after, min"
              hint="a valve unhooked; usual: 20"
              {...NUMBER}
              {...box("warnAfterMinutes")}
            />
            <Field
              label="Lash set anew after, h"
              hint="heads on or a break-in; usual: 1"
              {...NUMBER}
              {...box("resetHours")}
            />
            {also && (
              <Field
                label={`or after, ${also}`}
                hint="whichever comes first"
                {...NUMBER}
                {...box("resetUsed")}
              />
            )}
          </div>
        </section>
        <section className="scribed grid gap-3 rounded p-4" aria-label="Torque sheet">
          <h2 className="text-xl">Torque sheet</h2>
          <p className="text-muted">
            What is undone, in steps, as your sheet gives it; initialled in the walk.
          </p>
          {torques.fields.map((t, i) => (
            <TorqueRow key={t.id} entry={entry} at={i} onOff={() => torques.remove(i)} />
          ))}
          <Button onClick={() => torques.append(BLANK_TORQUE)}>Add a line</Button>
        </section>
        {trouble && <Notice tone="stop">{trouble}</Notice>}
        {kept && <Notice tone="know">Kept. The next plan follows it.</Notice>}
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
