import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { readNumber } from "../../units/load";

type Rules = Schemas["LifterRulesSheet"];

const BOXES: readonly (readonly [keyof Rules, string, string])[] = [
  ["rollerSolidHours", "Solid rollers, hours", "interval to a rebuild or new ones"],
  ["flatHours", "Flat tappets, hours", ""],
  ["hydraulicHours", "Hydraulic lifters, hours", ""],
  ["smallestThouPerHour", "Smallest drift worth finding, thou/h", "0.5 when left empty"],
];

/** Intervals by kind and how small a drift is worth finding: the team's own. */
export function RulesPart({ engineId, rules }: { engineId: string; rules: Rules }) {
  const queries = useQueryClient();
  const { hand } = useSettings();
  const [texts, setTexts] = useState<Record<string, string>>(() =>
    Object.fromEntries(BOXES.map(([key]) => [key, rules[key]?.toString() ?? ""])),
  );
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/engines/{id}/lifter-rules", {
          params: { path: { id: engineId }, query: { who: hand || undefined } },
          body: Object.fromEntries(BOXES.map(([key]) => [key, readNumber(texts[key] ?? "")])),
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["engines", engineId] }),
  });
  const wrong = (field: string) =>
    keep.error instanceof ApiProblem ? keep.error.errors.find((e) => e.field === field)?.message : undefined;
  return (
    <details className="scribed rounded px-4 py-2">
      <summary className="min-h-11 content-center font-semibold">Intervals and limits</summary>
      <div className="grid gap-3 pb-3 min-[700px]:grid-cols-2">
        {BOXES.map(([key, label, hint]) => (
          <Field
            key={key}
            label={label}
            hint={hint}
            error={wrong(key)}
            inputMode="decimal"
            value={texts[key]}
            onChange={(e) => setTexts({ ...texts, [key]: e.target.value })}
          />
        ))}
        <Button onClick={() => keep.mutate()} disabled={keep.isPending}>
          {keep.isSuccess ? "Kept" : "Keep"}
        </Button>
      </div>
    </details>
  );
}
