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
import { LinkLimits } from "./LinkLimits";
import { linkTexts, readLinks } from "./linkTexts";

interface RulesPartProps {
  engineId: string;
  rules: Schemas["SpringRulesSheet"];
}

type Box =
  | "intake"
  | "exhaust"
  | "tolerance"
  | "loss"
  | "least"
  | "changeAt"
  | "overRev"
  | "topRpm"
  | "shims"
  | "offsets";

/** Limits and schools: the team's to set, each with its usual value. */
export function RulesPart({ engineId, rules }: RulesPartProps) {
  const { unit, hand } = useSettings();
  const queries = useQueryClient();
  const first = (v: number | undefined, text: (n: number) => string) => (v === undefined ? "" : text(v));
  const height = (v: number | undefined) => first(v, (n) => heightText(n, unit));
  const heights = (v: number[] | undefined) => (v ?? []).map((n) => heightText(n, unit)).join(" ");
  const [t, setT] = useState<Record<Box, string>>(() => ({
    intake: height(rules.targetHeightIntakeIn),
    exhaust: height(rules.targetHeightExhaustIn),
    tolerance: height(rules.heightToleranceIn),
    loss: first(rules.lossPercent, String),
    least: first(rules.leastSeatLbf, (v) => loadText(v, unit)),
    changeAt: first(rules.changeAt, String),
    overRev: first(rules.overRevRpm, String),
    topRpm: first(rules.topRpm, String),
    shims: heights(rules.shimStockIn),
    offsets: heights(rules.lockOffsetsIn),
  }));
  const [links, setLinks] = useState(() => linkTexts(rules.links ?? [], unit));
  const [heightSchool, setHeightSchool] = useState(rules.heightSchool ?? "FEWEST_PIECES");
  const [school, setSchool] = useState(rules.setSchool ?? "MATCHED_SINGLE");
  const [unread, setUnread] = useState<Partial<Record<Box, string>>>({});
  const keep = useMutation({
    mutationFn: (body: Schemas["SpringRulesSheet"]) =>
      answered(
        api.PUT("/api/engines/{id}/spring-rules", {
          params: { path: { id: engineId }, query: { who: hand || undefined } },
          body,
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ["engines", engineId] }),
  });
  /** Nothing is sent while a box holds what cannot be read: it would be lost. */
  const send = () => {
    const missed: Partial<Record<Box, string>> = {};
    const one = (key: Box, read: (text: string) => number | undefined) => {
      if (t[key].trim() === "") return undefined;
      const value = read(t[key]);
      if (value === undefined || Number.isNaN(value)) missed[key] = `"${t[key]}" cannot be read`;
      return value;
    };
    const signed = (text: string) => {
      const size = readHeight(text.replace(/^[-−+]/, ""), unit);
      return size !== undefined && /^[-−]/.test(text) ? -size : size;
    };
    const several = (key: Box) =>
      t[key]
        .split(/[\s;]+/)
        .filter((s) => s !== "")
        .map((s) => {
          const value = signed(s);
          if (value === undefined) missed[key] = `"${s}" cannot be read`;
          return value ?? Number.NaN;
        });
    const body: Schemas["SpringRulesSheet"] = {
      ...rules,
      targetHeightIntakeIn: one("intake", (s) => readHeight(s, unit)),
      targetHeightExhaustIn: one("exhaust", (s) => readHeight(s, unit)),
      heightToleranceIn: one("tolerance", (s) => readHeight(s, unit)),
      lossPercent: one("loss", readNumber),
      leastSeatLbf: one("least", (s) => readLoad(s, unit)),
      changeAt: one("changeAt", readNumber),
      overRevRpm: one("overRev", readNumber),
      topRpm: one("topRpm", readNumber),
      shimStockIn: several("shims"),
      lockOffsetsIn: several("offsets"),
      heightSchool,
      setSchool: school,
    };
    const read = readLinks(links, unit);
    setUnread(missed);
    setLinks(read.texts);
    if (Object.keys(missed).length === 0 && read.missed === 0) keep.mutate({ ...body, links: read.limits });
  };
  const problem = keep.error instanceof ApiProblem ? keep.error : undefined;
  const box = (key: Box, label: string, hint: string, field: string) => (
    <Field
      label={label}
      hint={hint}
      value={t[key]}
      onChange={(e) => setT({ ...t, [key]: e.target.value })}
      error={unread[key] ?? problem?.errors.find((e) => e.field.startsWith(field))?.message}
    />
  );
  return (
    <form
      className="scribed grid gap-3 rounded p-4"
      aria-label="Limits and schools"
      onSubmit={(e) => {
        e.preventDefault();
        send();
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
        {box("topRpm", "Top engine speed, rpm", "for the parts' own limits", "topRpm")}
        {box("offsets", `Lock offsets in stock, ${heightUnit(unit)}`, "as −0.050 0.050", "lockOffsetsIn")}
        {box("shims", `Shims in stock, ${heightUnit(unit)}`, "usual: 0.015 0.030 0.060", "shimStockIn")}
      </div>
      <Choice
        label="Shimming"
        value={heightSchool}
        onChange={setHeightSchool}
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
      <LinkLimits texts={links} onChange={setLinks} problems={problem?.errors ?? []} />
      {problem && problem.errors.length === 0 && <Notice tone="stop">{problem.message}</Notice>}
      {keep.isSuccess && <Notice tone="know">Kept. Every verdict follows these limits now.</Notice>}
      <Button type="submit">Keep these</Button>
    </form>
  );
}
