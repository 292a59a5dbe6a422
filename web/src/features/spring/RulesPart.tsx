import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { z } from "zod";
import { answered, api, type Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure, height, load, several } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit, loadText, loadUnit, readHeight } from "../../units/load";
import { LinkLimits } from "./LinkLimits";
import { linkTexts, readLinks } from "./linkTexts";

interface RulesPartProps {
  engineId: string;
  rules: Schemas["SpringRulesSheet"];
}

const signed = (read: (text: string) => number | undefined) => (text: string) => {
  const size = read(text.replace(/^[-−+]/, ""));
  return size !== undefined && /^[-−]/.test(text) ? -size : size;
};

/** The boxes as the person's unit reads them. */
const rulesIn = (unit: LashUnit) =>
  z.object({
    targetHeightIntakeIn: height(unit),
    targetHeightExhaustIn: height(unit),
    heightToleranceIn: height(unit),
    lossPercent: figure(),
    leastSeatLbf: load(unit),
    changeAt: figure(),
    overRevRpm: figure(),
    topRpm: figure(),
    shimStockIn: several((t) => readHeight(t, unit)),
    lockOffsetsIn: several(signed((t) => readHeight(t, unit))),
    heightSchool: z.enum(["FEWEST_PIECES", "ONE_PIECE"]),
    setSchool: z.enum(["MATCHED_SINGLE", "WHOLE_SET"]),
  });

/** Limits and schools: the team's to set, each with its usual value. */
export function RulesPart({ engineId, rules }: RulesPartProps) {
  const { unit, hand } = useSettings();
  const queries = useQueryClient();
  const heightOf = (v: number | undefined) => boxText(v, (n) => heightText(n, unit));
  const heights = (v: number[] | undefined) => (v ?? []).map((n) => heightText(n, unit)).join(" ");
  const [links, setLinks] = useState(() => linkTexts(rules.links ?? [], unit));
  const { box, choice, submit, kept, trouble, refused } = useEntry({
    schema: rulesIn(unit),
    first: {
      targetHeightIntakeIn: heightOf(rules.targetHeightIntakeIn),
      targetHeightExhaustIn: heightOf(rules.targetHeightExhaustIn),
      heightToleranceIn: heightOf(rules.heightToleranceIn),
      lossPercent: boxText(rules.lossPercent),
      leastSeatLbf: boxText(rules.leastSeatLbf, (v) => loadText(v, unit)),
      changeAt: boxText(rules.changeAt),
      overRevRpm: boxText(rules.overRevRpm),
      topRpm: boxText(rules.topRpm),
      shimStockIn: heights(rules.shimStockIn),
      lockOffsetsIn: heights(rules.lockOffsetsIn),
      heightSchool: rules.heightSchool ?? "FEWEST_PIECES",
      setSchool: rules.setSchool ?? "MATCHED_SINGLE",
    },
    send: (read) => {
      const parts = readLinks(links, unit);
      if (parts.missed > 0) throw new Error("a limit of a part cannot be read");
      return answered(
        api.PUT("/api/engines/{id}/spring-rules", {
          params: { path: { id: engineId }, query: { who: hand || undefined } },
          body: { ...rules, ...read, links: parts.limits },
        }),
      );
    },
    kept: () => queries.invalidateQueries({ queryKey: ["engines", engineId] }),
    elsewhere: ["links"],
  });
  const inch = heightUnit(unit);
  return (
    <form
      className="scribed grid gap-3 rounded p-4"
      aria-label="Limits and schools"
      onSubmit={(e) => {
        // What cannot be read is marked in one go, here and in the boxes.
        setLinks(readLinks(links, unit).texts);
        return submit(e);
      }}
    >
      <h2 className="text-xl">Limits and schools</h2>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Loss limit, % of baseline" hint="usual: 10" {...box("lossPercent")} />
        <Field label={`Least seat load, ${loadUnit(unit)}`} hint="if there is one" {...box("leastSeatLbf")} />
        <Field
          label="Change from a chance of"
          hint="cost of a change over cost of a failure; usual: 0.2"
          {...box("changeAt")}
        />
        <Field label="Over-rev above, rpm" hint="asks for a new test" {...box("overRevRpm")} />
        <Field
          label={`Intake height, ${inch}`}
          hint="blank: the data sheet's"
          {...box("targetHeightIntakeIn")}
        />
        <Field
          label={`Exhaust height, ${inch}`}
          hint="blank: the data sheet's"
          {...box("targetHeightExhaustIn")}
        />
        <Field
          label={`Height tolerance ±, ${inch}`}
          hint="builders 0.005, cam makers 0.020"
          {...box("heightToleranceIn")}
        />
        <Field label="Top engine speed, rpm" hint="for the parts' own limits" {...box("topRpm")} />
        <Field label={`Lock offsets in stock, ${inch}`} hint="as −0.050 0.050" {...box("lockOffsetsIn")} />
        <Field label={`Shims in stock, ${inch}`} hint="usual: 0.015 0.030 0.060" {...box("shimStockIn")} />
      </div>
      <Choice
        label="Shimming"
        {...choice("heightSchool")}
        options={[
          ["FEWEST_PIECES", "fewest pieces"],
          ["ONE_PIECE", "one made piece: stacks chatter"],
        ]}
      />
      <Choice
        label="One spring or the set"
        {...choice("setSchool")}
        options={[
          ["MATCHED_SINGLE", "matched single from stock"],
          ["WHOLE_SET", "whole set"],
        ]}
      />
      <LinkLimits texts={links} onChange={setLinks} problems={refused} />
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      {kept && <Notice tone="know">Kept. Every verdict follows these limits now.</Notice>}
      <Button type="submit">Keep these</Button>
    </form>
  );
}
