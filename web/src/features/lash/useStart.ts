import { useNavigate } from "@tanstack/react-router";
import { useState } from "react";
import * as z from "zod";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { useKept, useSettings } from "../../shell/settings";
import { useEntry } from "../../ui/useEntry";
import { figure, hours, hoursText, measured } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import type { School } from "../crank/schools";

const startIn = (unit: LashUnit) =>
  z.object({
    hand: z.string(),
    engineHours: hours(),
    headTempStartF: measured("warmth", unit),
    state: z.enum(["HOT", "COLD"]),
    school: z.custom<School>(),
    stops: figure(),
    onMarks: z.boolean(),
    lookAtSprings: z.boolean(),
    withSprings: z.boolean(),
    tester: z.string(),
    seen: z.enum(["ANYWHERE", "MARK", "COMPRESSION_TDC", "FULL_LIFT", "JUST_OPENS", "ALMOST_CLOSED"]),
    seenAt: z.string(),
    fromDeg: z.string(),
  });

const MOST_STOPS = 64;

/** As many stops as can be asked for; two while the box says nothing that can be read. */
export function stopsOf(text: string | number | undefined): number {
  const stops = Number(String(text ?? "").replace(",", "."));
  return Math.min(MOST_STOPS, Math.max(1, Math.round(stops || 2)));
}

/** What is seen of a crank that stands somewhere; nothing while it is not said whole. */
export function seenOf(seen: string, at: string): Schemas["CrankSeen"] | undefined {
  const figure = Number(at.replace(",", "."));
  switch (seen) {
    case "MARK":
      return at.trim() === "" || Number.isNaN(figure) ? undefined : { what: "MARK", balancerDeg: figure };
    case "COMPRESSION_TDC":
      return Number.isInteger(figure) && figure > 0 ? { what: seen, cylinder: figure } : undefined;
    case "FULL_LIFT":
    case "JUST_OPENS":
    case "ALMOST_CLOSED":
      return at === "" ? undefined : { what: seen, valve: at };
    default:
      return undefined;
  }
}

/** How a round begins, and the spring test with it where one pass does both. */
export function useStart(engine: Schemas["EngineView"], hoursNow: number, fitted: boolean) {
  const navigate = useNavigate();
  const settings = useSettings();
  const [id] = useState(() => newId());
  const [testId] = useState(() => newId());
  const [onePass, keepOnePass] = useKept<"yes" | "no">("shim.onePass", () => "no");
  const [tester, keepTester] = useKept<string>("shim.tester", () => "");
  return useEntry({
    schema: startIn(settings.unit),
    first: {
      hand: settings.hand,
      engineHours: hoursText(hoursNow),
      headTempStartF: "",
      state: engine.sheet.cam?.lashState ?? ("COLD" as const),
      school: (engine.sheet.rules?.school as School | undefined) ?? ("BEST_STOPS" as const),
      stops: "2",
      onMarks: false,
      lookAtSprings: true,
      withSprings: onePass === "yes",
      tester,
      seen: "ANYWHERE" as const,
      seenAt: "",
      fromDeg: "",
    },
    shown: (typed) => (typed.school === "BEST_STOPS" ? typed : { ...typed, stops: "" }),
    send: async ({ withSprings, tester: read, seen, seenAt: _, fromDeg, ...round }) => {
      const { hand, engineHours, state } = round;
      await answered(
        api.PUT("/api/rounds/{id}", {
          params: { path: { id } },
          body: {
            engineId: engine.id,
            ...round,
            stops: stopsOf(round.stops),
            fromDeg: seen === "ANYWHERE" || fromDeg === "" ? undefined : Number(fromDeg),
          },
        }),
      );
      if (!withSprings || !fitted) return;
      await answered(
        api.PUT("/api/spring-tests/{id}", {
          params: { path: { id: testId } },
          body: {
            engineId: engine.id,
            roundId: id,
            engineHours,
            place: "HEAD",
            state,
            order: "STOPS",
            tester: read,
            repeats: 1,
            hand,
          },
        }),
      );
    },
    remember: (typed) => {
      keepOnePass(typed.withSprings ? "yes" : "no");
      keepTester(typed.tester);
    },
    kept: (_, read) => {
      settings.setHand(read.hand);
      void navigate({ to: "/rounds/$id", params: { id } });
    },
  });
}
