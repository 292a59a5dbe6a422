import { useQueryClient } from "@tanstack/react-query";
import { z } from "zod";
import { answered, api, type Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure, height, measured, several } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { heightText } from "../../units/load";
import { measureBox, readMeasure } from "../../units/measures";

type Rules = Schemas["ChangeRulesSheet"];

/** What is usual where the team has not said. */
const USUAL = {
  freeing: "SOFT_HAMMER_EDGE",
  proving: "TAP_SIDEWAYS",
  plugs: "LAST",
  plugsOut: "BEFORE_BARRING",
  lubricant: "ASSEMBLY_LUBE",
  order: "CYLINDER_BY_CYLINDER",
  renewLocks: false,
} as const;

const schools = <K extends keyof typeof USUAL>() => z.custom<NonNullable<Rules[K]>>();

const rulesIn = (unit: LashUnit) =>
  z.object({
    freeing: schools<"freeing">(),
    proving: schools<"proving">(),
    plugs: schools<"plugs">(),
    lubricant: schools<"lubricant">(),
    order: schools<"order">(),
    renewLocks: z.boolean(),
    psi: measured("pressure", unit),
    turnsAtLbfFt: measured("torque", unit),
    warnAfterMinutes: figure(),
    gaugeLowIn: height(unit),
    gaugeHighIn: height(unit),
    plugsOut: schools<"plugsOut">(),
    torques: z.array(
      z.object({
        of: z.string(),
        perCylinder: z.boolean(),
        stepsLbfFt: several((t) => readMeasure("torque", t, unit)),
        order: z.string(),
        lubricant: z.string(),
        source: z.string(),
        only: z.enum(["", "IN_CAR", "HEADS_OFF", "ASSEMBLE"]),
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
  only: "" as const,
};

/** How the team works, as boxes, and kept for every plan to come. */
export function useRulesEntry(engineId: string, rules: Rules) {
  const { hand, unit } = useSettings();
  const queries = useQueryClient();
  return useEntry({
    schema: rulesIn(unit),
    first: {
      freeing: rules.freeing ?? USUAL.freeing,
      proving: rules.proving ?? USUAL.proving,
      plugs: rules.plugs ?? USUAL.plugs,
      plugsOut: rules.plugsOut ?? USUAL.plugsOut,
      lubricant: rules.lubricant ?? USUAL.lubricant,
      order: rules.order ?? USUAL.order,
      renewLocks: rules.renewLocks ?? USUAL.renewLocks,
      psi: measureBox("pressure", rules.psi, unit),
      turnsAtLbfFt: measureBox("torque", rules.turnsAtLbfFt, unit),
      warnAfterMinutes: boxText(rules.warnAfterMinutes),
      gaugeLowIn: boxText(rules.gaugeLowIn, (v) => heightText(v, unit)),
      gaugeHighIn: boxText(rules.gaugeHighIn, (v) => heightText(v, unit)),
      torques: (rules.torques ?? []).map((t) => ({
        ...t,
        stepsLbfFt: t.stepsLbfFt.map((v) => measureBox("torque", v, unit)).join(" "),
        only: t.only ?? ("" as const),
      })),
    },
    send: (read) =>
      answered(
        api.PUT("/api/engines/{id}/change-rules", {
          params: { path: { id: engineId }, query: { who: hand || undefined } },
          body: {
            ...read,
            torques: read.torques
              .filter((t) => t.of.trim() !== "")
              .map((t) => ({ ...t, only: t.only === "" ? undefined : t.only })),
          },
        }),
      ),
    kept: () => queries.invalidateQueries({ queryKey: ["engines", engineId] }),
  });
}
