import * as z from "zod";
import { askedAnew } from "../../api/anew";
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

const rulesIn = (unit: LashUnit, was: Rules) =>
  z.object({
    freeing: schools<"freeing">(),
    proving: schools<"proving">(),
    plugs: schools<"plugs">(),
    lubricant: schools<"lubricant">(),
    order: schools<"order">(),
    renewLocks: z.boolean(),
    psi: measured("pressure", unit, was.psi),
    turnsAtLbfFt: measured("torque", unit, was.turnsAtLbfFt),
    warnAfterMinutes: figure(),
    resetHours: figure(),
    resetUsed: figure(),
    gaugeLowIn: height(unit, was.gaugeLowIn),
    gaugeHighIn: height(unit, was.gaugeHighIn),
    plugsOut: schools<"plugsOut">(),
    torques: z.array(
      z.object({
        of: z.string(),
        perCylinder: z.boolean(),
        stepsLbfFt: several((t) => stepOf(t, unit, was)),
        order: z.string(),
        lubricant: z.string(),
        source: z.string(),
        only: z.enum(["", "IN_CAR", "HEADS_OFF", "ASSEMBLE"]),
      }),
    ),
  });

/** A step as typed; one that stands there as it was keeps its figure. */
function stepOf(text: string, unit: LashUnit, was: Rules): number | undefined {
  const steps = (was.torques ?? []).flatMap((t) => t.stepsLbfFt);
  return steps.find((s) => measureBox("torque", s, unit) === text) ?? readMeasure("torque", text, unit);
}

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
  return useEntry({
    schema: rulesIn(unit, rules),
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
      resetHours: boxText(rules.resetHours),
      resetUsed: boxText(rules.resetUsed),
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
    kept: askedAnew,
  });
}
