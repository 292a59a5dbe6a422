import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure } from "../../units/boxes";

export interface RulesProps {
  engineId: string;
  rules: Schemas["LifterRulesSheet"];
}

const RULES = z.object({
  rollerSolidHours: figure(),
  flatHours: figure(),
  hydraulicHours: figure(),
  smallestThouPerHour: figure(),
});

/** Intervals by kind and how small a drift is worth finding: the team's own. */
export function RulesForm({ engineId, rules }: RulesProps) {
  const { hand } = useSettings();
  const { box, submit, keeping, kept, trouble } = useEntry({
    schema: RULES,
    first: {
      rollerSolidHours: boxText(rules.rollerSolidHours),
      flatHours: boxText(rules.flatHours),
      hydraulicHours: boxText(rules.hydraulicHours),
      smallestThouPerHour: boxText(rules.smallestThouPerHour),
    },
    send: (body) =>
      answered(
        api.PUT("/api/engines/{id}/lifter-rules", {
          params: { path: { id: engineId }, query: { who: hand || undefined } },
          body,
        }),
      ),
    kept: askedAnew,
  });
  return (
    <form className="grid gap-3 pb-3 min-[700px]:grid-cols-2" onSubmit={submit}>
      <Field
        label="Solid rollers, hours"
        hint="interval to a rebuild or new ones"
        inputMode="decimal"
        {...box("rollerSolidHours")}
      />
      <Field label="Flat tappets, hours" inputMode="decimal" {...box("flatHours")} />
      <Field label="Hydraulic lifters, hours" inputMode="decimal" {...box("hydraulicHours")} />
      <Field
        label="Smallest drift worth finding, thou/h"
        hint="0.5 when left empty"
        inputMode="decimal"
        {...box("smallestThouPerHour")}
      />
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      <Button type="submit" disabled={keeping}>
        {kept ? "Kept" : "Keep"}
      </Button>
    </form>
  );
}
