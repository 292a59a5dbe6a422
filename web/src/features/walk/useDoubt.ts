import { useQuery } from "@tanstack/react-query";
import type { Schemas } from "../../api/client";
import { lashTargets } from "../../api/queries";
import { kindOf } from "../../plan/geometry";
import { MARKS } from "../../plan/verdict";
import { judge, judgePreload, plain } from "../lash/gauge";
import type { JobStep } from "./steps";

/** A lash or preload that is out, or far from what is wanted, is thought over before it is kept. */
export function doubtOf(wanted: Schemas["LashWanted"], step: JobStep, figure: number): string | undefined {
  if (step.act !== "LASH" || !step.valve) return undefined;
  const kind = kindOf(step.valve);
  const gauge = wanted.gauges[kind];
  const turned = wanted.preloads.find((t) => t.kind === kind && t.unit === "TURNS");
  if (gauge && !plain(gauge, figure)) return "that is far from what is wanted: read it again";
  const verdict = gauge ? judge(gauge, figure) : turned && judgePreload(turned, figure);
  return verdict && verdict !== "IN" ? `left like this it is ${MARKS[verdict].word}` : undefined;
}

export function useDoubt(job: Schemas["JobView"], step: JobStep | undefined) {
  const wanted = useQuery({
    ...lashTargets(job.engineId ?? "", job.heat),
    enabled: step?.act === "LASH" && job.engineId !== undefined,
  }).data;
  return (figure: number) => (wanted && step ? doubtOf(wanted, step, figure) : undefined);
}
