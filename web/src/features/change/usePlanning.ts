import { useQuery } from "@tanstack/react-query";
import { useNavigate } from "@tanstack/react-router";
import { useState } from "react";
import * as z from "zod";
import { ApiProblem, answered, api, type Schemas, type Valve } from "../../api/client";
import { newId } from "../../api/ids";
import { jobPlan } from "../../api/queries";
import { kindOf } from "../../plan/geometry";
import { useKept, useSettings } from "../../shell/settings";
import { useEntry } from "../../ui/useEntry";
import { figure, height, hours, hoursText, measured } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";

type Ask = Schemas["JobAsk"];
export type Asked = Record<Valve, Schemas["AskedValve"]>;

const wishIn = (unit: LashUnit) =>
  z.object({
    hand: z.string(),
    engineHours: hours(),
    kind: z.enum(["IN_CAR", "HEADS_OFF", "ASSEMBLE"]),
    hold: z.enum(["AIR", "PISTON", "ROPE"]),
    state: z.enum(["COLD", "HOT"]),
    psi: measured("pressure", unit),
    offDeg: figure(),
    headIn: height(unit),
    fromDeg: figure(),
    breakInHours: figure(),
    intakeOff: z.boolean(),
    innerOut: z.boolean(),
  });

type Typed = z.input<ReturnType<typeof wishIn>>;

/** Boxes that do not belong to the kind of job and hold are as if blank. */
export function shown(typed: Typed): Typed {
  const inCar = typed.kind === "IN_CAR";
  const air = inCar && typed.hold === "AIR";
  return {
    ...typed,
    psi: air ? typed.psi : "",
    offDeg: air ? typed.offDeg : "",
    headIn: air ? typed.headIn : "",
    fromDeg: inCar ? typed.fromDeg : "",
    breakInHours: typed.innerOut ? typed.breakInHours : "",
  };
}

export const asked = (valve: Valve): Schemas["AskedValve"] => ({
  valve,
  newSeal: false,
  sameAgain: false,
  standIn: false,
});

/** Which kind of spring goes in, by kind of valve; the same where none is named. */
export type ToKind = Partial<Record<"INTAKE" | "EXHAUST", string>>;

const unnamed = (v: Schemas["AskedValve"]): Schemas["AskedValve"] => ({
  ...v,
  spring: undefined,
  sameAgain: false,
});

/** Springs due for a change are chosen already. */
export const dueValves = (known: Schemas["EngineSprings"]): Asked =>
  Object.fromEntries(
    known.springs.filter((s) => s.said.verdict === "CHANGE").map((s) => [s.position, asked(s.position)]),
  );

/** With a valve chosen, or taken off again. */
export function toggled(valves: Asked, v: Valve): Asked {
  const { [v]: there, ...rest } = valves;
  return there ? rest : { ...valves, [v]: asked(v) };
}

/** What is wanted, the plan of it as it is typed, and the job once it begins. */
export function usePlanning(engineId: string, known: Schemas["EngineSprings"]) {
  const navigate = useNavigate();
  const settings = useSettings();
  const [id] = useState(() => newId());
  const [valves, setValves] = useState(() => dueValves(known));
  const [hold, keepHold] = useKept<"AIR" | "PISTON" | "ROPE">("shim.hold", () => "AIR");
  const [order, setOrder] = useState<Ask["order"]>();
  const [lock, setLock] = useState<boolean>();
  const schema = wishIn(settings.unit);
  const [toKind, setToKind] = useState<ToKind>({});
  const chosen = Object.values(valves).map((v) => ({ ...v, toKind: toKind[kindOf(v.valve)] }));
  const askOf = ({ hand: _, engineHours: __, ...wish }: z.output<typeof schema>): Ask => ({
    ...wish,
    hold: wish.kind === "IN_CAR" ? wish.hold : "BLOCK",
    crankLock: lock,
    order,
    valves: chosen,
  });
  const entry = useEntry({
    schema,
    first: {
      hand: settings.hand,
      engineHours: hoursText(known.engineHours),
      kind: "IN_CAR" as const,
      hold,
      state: "COLD" as const,
      psi: "",
      offDeg: "",
      headIn: "",
      fromDeg: "",
      breakInHours: "",
      intakeOff: false,
      innerOut: false,
    },
    shown,
    atOnce: true,
    elsewhere: ["valves"],
    send: (read) =>
      answered(
        api.PUT("/api/jobs/{id}", {
          params: { path: { id } },
          body: { engineId, engineHours: read.engineHours, hand: read.hand, ask: askOf(read) },
        }),
      ),
    remember: (typed) => keepHold(typed.hold),
    kept: (_, read) => {
      settings.setHand(read.hand);
      void navigate({ to: "/jobs/$id", params: { id } });
    },
  });
  // The hours may still be half typed: a plan does not depend on them.
  const read = schema.safeParse({ ...shown(entry.form.watch()), engineHours: "0" });
  const plan = useQuery({
    ...jobPlan(engineId, read.success ? askOf(read.data) : ({} as Ask)),
    enabled: read.success && chosen.length > 0,
  });
  const refused = plan.error instanceof ApiProblem ? plan.error : undefined;
  return {
    entry,
    plan: read.success && chosen.length > 0 ? plan.data : undefined,
    /** What the plan's own check says of a box, or of all of it. */
    refused: (field: string) => refused?.errors.find((e) => e.field === field)?.message,
    trouble: entry.trouble ?? (refused?.errors.length === 0 ? refused.message : undefined),
    valves,
    setValves,
    toKind,
    /** Another kind of spring at all chosen valves of a kind; a spring chosen by name goes with it. */
    setToKind: (next: ToKind) => {
      setToKind(next);
      setValves((all) => Object.fromEntries(Object.entries(all).map(([v, a]) => [v, unnamed(a)])));
    },
    setOrder,
    lock,
    setLock,
  };
}
