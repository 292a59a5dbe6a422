import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import {
  heightText,
  heightUnit,
  loadText,
  loadUnit,
  readHeight,
  readLoad,
  readNumber,
} from "../../units/load";

interface RulesPartProps {
  engineId: string;
  rules: Schemas["SpringRulesSheet"];
}

/** Limits and schools: the team's to set, each with its usual value. */
export function RulesPart({ engineId, rules }: RulesPartProps) {
  const { unit, hand } = useSettings();
  const queries = useQueryClient();
  const first = (v: number | undefined, text: (n: number) => string) => (v === undefined ? "" : text(v));
  const [t, setT] = useState({
    intake: first(rules.targetHeightIntakeIn, (v) => heightText(v, unit)),
    exhaust: first(rules.targetHeightExhaustIn, (v) => heightText(v, unit)),
    tolerance: first(rules.heightToleranceIn, (v) => heightText(v, unit)),
    loss: first(rules.lossPercent, String),
    least: first(rules.leastSeatLbf, (v) => loadText(v, unit)),
    changeAt: first(rules.changeAt, String),
    overRev: first(rules.overRevRpm, String),
    shims: (rules.shimStockIn ?? []).map((s) => heightText(s, unit)).join(" "),
  });
  const [height, setHeight] = useState(rules.heightSchool ?? "FEWEST_PIECES");
  const [school, setSchool] = useState(rules.setSchool ?? "MATCHED_SINGLE");
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/engines/{id}/spring-rules", {
          params: { path: { id: engineId }, query: { who: hand || undefined } },
          body: {
            ...rules,
            targetHeightIntakeIn: readHeight(t.intake, unit),
            targetHeightExhaustIn: readHeight(t.exhaust, unit),
            heightToleranceIn: readHeight(t.tolerance, unit),
            lossPercent: readNumber(t.loss),
            leastSeatLbf: readLoad(t.least, unit),
            changeAt: readNumber(t.changeAt),
            overRevRpm: readNumber(t.overRev),
            shimStockIn: t.shims
              .split(/\s+/)
              .map((s) => readHeight(s, unit))
              .filter((s) => s !== undefined),
            heightSchool: height,
            setSchool: school,
          },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["engines", engineId, "springs"] }),
  });
  const problem = keep.error instanceof ApiProblem ? keep.error : undefined;
  const box = (key: keyof typeof t, label: string, hint: string, field: string) => (
    <Field
      label={label}
      hint={hint}
      value={t[key]}
      onChange={(e) => setT({ ...t, [key]: e.target.value })}
      error={problem?.errors.find((e) => e.field === field)?.message}
    />
  );
  return (
    <form
      className="scribed grid gap-3 rounded p-4"
      aria-label="Limits and schools"
      onSubmit={(e) => {
        e.preventDefault();
        keep.mutate();
      }}
    >
      <h2 className="text-xl">Limits and schools</h2>
      <div className="grid grid-cols-2 gap-3">
        {box("loss", "Loss limit, % of baseline", "usual: 10", "lossPercent")}
        {box("least", `Least seat load, ${loadUnit(unit)}`, "if there is one", "leastSeatLbf")}
        {box(
          "changeAt",
          "Change from a chance of",
          "cost of a change over cost of a failure; usual: 0.2",
          "changeAt",
        )}
        {box("overRev", "Over-rev above, rpm", "asks for a new test", "overRevRpm")}
        {box(
          "intake",
          `Intake height, ${heightUnit(unit)}`,
          "blank: the data sheet's",
          "targetHeightIntakeIn",
        )}
        {box(
          "exhaust",
          `Exhaust height, ${heightUnit(unit)}`,
          "blank: the data sheet's",
          "targetHeightExhaustIn",
        )}
        {box(
          "tolerance",
          `Height tolerance ±, ${heightUnit(unit)}`,
          "builders 0.005, cam makers 0.020",
          "heightToleranceIn",
        )}
        {box("shims", `Shims in stock, ${heightUnit(unit)}`, "usual: 0.015 0.030 0.060", "shimStockIn")}
      </div>
      <Choice
        label="Shimming"
        value={height}
        onChange={setHeight}
        options={[
          ["FEWEST_PIECES", "fewest pieces"],
          ["ONE_PIECE", "one made piece: stacks chatter"],
        ]}
      />
      <Choice
        label="One spring or the set"
        value={school}
        onChange={setSchool}
        options={[
          ["MATCHED_SINGLE", "matched single from stock"],
          ["WHOLE_SET", "whole set"],
        ]}
      />
      {problem && problem.errors.length === 0 && <Notice tone="stop">{problem.message}</Notice>}
      {keep.isSuccess && <Notice tone="know">Kept. Every verdict follows these limits now.</Notice>}
      <Button type="submit">Keep these</Button>
    </form>
  );
}
