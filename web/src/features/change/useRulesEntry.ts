import { useQueryClient } from "@tanstack/react-query";
import { z } from "zod";
import { answered, api, type Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure, several } from "../../units/boxes";
import { readNumber } from "../../units/load";

type Rules = Schemas["ChangeRulesSheet"];

/** What is usual where the team has not said. */
const USUAL = {
  freeing: "SOFT_HAMMER_EDGE",
  proving: "TAP_SIDEWAYS",
  plugs: "LAST",
  lubricant: "ASSEMBLY_LUBE",
  order: "CYLINDER_BY_CYLINDER",
  renewLocks: false,
} as const;

const schools = <K extends keyof typeof USUAL>() => z.custom<NonNullable<Rules[K]>>();

const RULES = z.object({
  freeing: schools<"freeing">(),
  proving: schools<"proving">(),
  plugs: schools<"plugs">(),
  lubricant: schools<"lubricant">(),
  order: schools<"order">(),
  renewLocks: z.boolean(),
  psi: figure(),
  turnsAtLbfFt: figure(),
  warnAfterMinutes: figure(),
  gaugeLowIn: figure(),
  gaugeHighIn: figure(),
  torques: z.array(
    z.object({
      of: z.string(),
      perCylinder: z.boolean(),
      stepsLbfFt: several(readNumber),
      order: z.string(),
      lubricant: z.string(),
      source: z.string(),
    }),
  ),
});

export const BLANK_TORQUE = {
  of: "",
  perCylinder: true,
  stepsLbfFt: "",
  order: "",
  lubricant: "",
  source: "",
};

/** How the team works, as boxes, and kept for every plan to come. */
export function useRulesEntry(engineId: string, rules: Rules) {
  const { hand } = useSettings();
  const queries = useQueryClient();
  return useEntry({
    schema: RULES,
    first: {
      freeing: rules.freeing ?? USUAL.freeing,
      proving: rules.proving ?? USUAL.proving,
      plugs: rules.plugs ?? USUAL.plugs,
      lubricant: rules.lubricant ?? USUAL.lubricant,
      order: rules.order ?? USUAL.order,
      renewLocks: rules.renewLocks ?? USUAL.renewLocks,
      psi: boxText(rules.psi),
      turnsAtLbfFt: boxText(rules.turnsAtLbfFt),
      warnAfterMinutes: boxText(rules.warnAfterMinutes),
      gaugeLowIn: boxText(rules.gaugeLowIn),
      gaugeHighIn: boxText(rules.gaugeHighIn),
      torques: (rules.torques ?? []).map((t) => ({ ...t, stepsLbfFt: t.stepsLbfFt.join(" ") })),
    },
    send: (read) =>
      answered(
        api.PUT("/api/engines/{id}/change-rules", {
          params: { path: { id: engineId }, query: { who: hand || undefined } },
          body: { ...read, torques: read.torques.filter((t) => t.of.trim() !== "") },
        }),
      ),
    kept: () => queries.invalidateQueries({ queryKey: ["engines", engineId] }),
  });
}
