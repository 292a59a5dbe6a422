import { useState } from "react";
import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Check, Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure, height, load, several } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit, loadText, loadUnit, readHeight } from "../../units/load";
import { LinkLimits } from "./LinkLimits";
import { linkTexts, readLinks } from "./linkTexts";

interface RulesPartProps {
  engineId: string;
  rules: Rules;
}

const signed = (read: (text: string) => number | undefined) => (text: string) => {
  const size = read(text.replace(/^[-−+]/, ""));
  return size !== undefined && /^[-−]/.test(text) ? -size : size;
};

type Rules = Schemas["SpringRulesSheet"];

const shown = (unit: LashUnit) => (n: number) => heightText(n, unit);

/** What a team asks of clearances, each with its usual figure in inch. */
const CLEARANCES = [
  ["bindIn", "To bind at full lift, at least", 0.06],
  ["bindStopIn", "Does not run below", 0.04],
  ["coilGapIn", "Lowest coils at full lift, at least", 0.08],
  ["sealIn", "Retainer to seal, at least", 0.05],
  ["snugPlayIn", "Play in the pocket: snug below", 0.002],
  ["muchPlayIn", "Play: much above", 0.01],
  ["wrongPlayIn", "Play: surely wrong above", 0.03],
] as const;

/** The boxes as the person's unit reads them. */
const rulesIn = (unit: LashUnit, was: Rules) =>
  z.object({
    targetHeightIntakeIn: height(unit, was.targetHeightIntakeIn),
    targetHeightExhaustIn: height(unit, was.targetHeightExhaustIn),
    heightToleranceIn: height(unit, was.heightToleranceIn),
    lossPercent: figure(),
    leastSeatLbf: load(unit, was.leastSeatLbf),
    changeAt: figure(),
    overRevRpm: figure(),
    topRpm: figure(),
    shimStockIn: several((t) => readHeight(t, unit), was.shimStockIn, shown(unit)),
    lockOffsetsIn: several(
      signed((t) => readHeight(t, unit)),
      was.lockOffsetsIn,
      shown(unit),
    ),
    retainerOffsetsIn: several(
      signed((t) => readHeight(t, unit)),
      was.retainerOffsetsIn,
      shown(unit),
    ),
    leastSeatExhaustLbf: load(unit, was.leastSeatExhaustLbf),
    intakeHeadIn: height(unit, was.intakeHeadIn),
    stockRotators: z.boolean(),
    clearances: z.object(
      Object.fromEntries(CLEARANCES.map(([key]) => [key, height(unit, was.clearances?.[key])])),
    ),
    heightSchool: z.enum(["FEWEST_PIECES", "ONE_PIECE"]),
    setSchool: z.enum(["MATCHED_SINGLE", "WHOLE_SET"]),
  });

/** Limits and schools: the team's to set, each with its usual value. */
export function RulesPart({ engineId, rules }: RulesPartProps) {
  const { unit, hand } = useSettings();
  const heightOf = (v: number | undefined) => boxText(v, (n) => heightText(n, unit));
  const heights = (v: number[] | undefined) => (v ?? []).map((n) => heightText(n, unit)).join(" ");
  const [links, setLinks] = useState(() => linkTexts(rules.links ?? [], unit));
  const [exhaust, setExhaust] = useState(() => linkTexts(rules.exhaustLinks ?? [], unit));
  const { box, choice, submit, kept, trouble, refused } = useEntry({
    schema: rulesIn(unit, rules),
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
      retainerOffsetsIn: heights(rules.retainerOffsetsIn),
      leastSeatExhaustLbf: boxText(rules.leastSeatExhaustLbf, (v) => loadText(v, unit)),
      intakeHeadIn: heightOf(rules.intakeHeadIn),
      stockRotators: rules.stockRotators ?? false,
      clearances: Object.fromEntries(CLEARANCES.map(([key]) => [key, heightOf(rules.clearances?.[key])])),
      heightSchool: rules.heightSchool ?? "FEWEST_PIECES",
      setSchool: rules.setSchool ?? "MATCHED_SINGLE",
    },
    send: (read) => {
      const parts = readLinks(links, unit, rules.links);
      const apart = readLinks(exhaust, unit, rules.exhaustLinks);
      if (parts.missed + apart.missed > 0) throw new Error("a limit of a part cannot be read");
      return answered(
        api.PUT("/api/engines/{id}/spring-rules", {
          params: { path: { id: engineId }, query: { who: hand || undefined } },
          body: { ...rules, ...read, links: parts.limits, exhaustLinks: apart.limits },
        }),
      );
    },
    kept: askedAnew,
    elsewhere: ["links", "exhaustLinks"],
  });
  const inch = heightUnit(unit);
  return (
    <form
      className="scribed grid gap-3 rounded p-4"
      aria-label="Limits and schools"
      onSubmit={(e) => {
        // What cannot be read is marked in one go, here and in the boxes.
        setLinks(readLinks(links, unit).texts);
        setExhaust(readLinks(exhaust, unit).texts);
        return submit(e);
      }}
    >
      <h2 className="text-xl">Limits and schools</h2>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Loss limit, % of baseline" hint="usual: 10" {...box("lossPercent")} />
        <Field label={`Least seat load, ${loadUnit(unit)}`} hint="if there is one" {...box("leastSeatLbf")} />
        <Field
          label={`Least at the exhausts, ${loadUnit(unit)}`}
          hint="blank: as above"
          {...box("leastSeatExhaustLbf")}
        />
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
          hint={`builders ${heightText(0.005, unit)}, cam makers ${heightText(0.02, unit)}`}
          {...box("heightToleranceIn")}
        />
        <Field label="Top engine speed, rpm" hint="for the parts' own limits" {...box("topRpm")} />
        <Field
          label={`Lock offsets in stock, ${inch}`}
          hint={`as −${heightText(0.05, unit)} ${heightText(0.05, unit)}`}
          {...box("lockOffsetsIn")}
        />
        <Field
          label={`Shims in stock, ${inch}`}
          hint={`usual: ${[0.015, 0.03, 0.06].map((s) => heightText(s, unit)).join(" ")}`}
          {...box("shimStockIn")}
        />
        <Field
          label={`Other retainers add, ${inch}`}
          hint={`those in stock, as ${heightText(0.02, unit)}`}
          {...box("retainerOffsetsIn")}
        />
        <Field
          label={`Intake valve's head, ${inch}`}
          hint="boost presses on it and takes off seat load"
          {...box("intakeHeadIn")}
        />
      </div>
      <fieldset className="grid grid-cols-2 gap-3 border-t border-hair pt-2">
        <legend className="text-sm font-semibold text-muted">Clearances, {inch}</legend>
        {CLEARANCES.map(([key, label, usual]) => (
          <Field
            key={key}
            label={label}
            hint={`usual: ${heightText(usual, unit)}`}
            {...box(`clearances.${key}`)}
          />
        ))}
      </fieldset>
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
      <Check
        label={`Stock rotators: not for more than about ${loadText(220, unit, 0)} ${loadUnit(unit)} open`}
        {...box("stockRotators")}
      />
      <LinkLimits
        caption="What each part is good for, by its maker"
        hint="blank: not known, not looked at"
        field="links"
        texts={links}
        onChange={setLinks}
        problems={refused}
      />
      <details open={(rules.exhaustLinks ?? []).length > 0}>
        <summary className="min-h-11 cursor-pointer content-center font-semibold">
          Other parts at the exhaust valves
        </summary>
        <LinkLimits
          caption="Where the exhausts differ"
          hint="blank: as above"
          field="exhaustLinks"
          texts={exhaust}
          onChange={setExhaust}
          problems={refused}
        />
      </details>
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      {kept && <Notice tone="know">Kept. Every verdict follows these limits now.</Notice>}
      <Button type="submit">Keep these</Button>
    </form>
  );
}
