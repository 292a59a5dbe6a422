import { useFieldArray } from "react-hook-form";
import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { useSettings } from "../../shell/settings";
import { useEntry } from "../../ui/useEntry";
import { figure, seconds, words } from "../../units/boxes";

export const KINDS = [
  ["HILL_RUN", "hill run"],
  ["PRACTICE", "practice"],
  ["QUALIFYING", "qualifying"],
  ["RACE", "race"],
  ["TEST_DAY", "test day"],
  ["DYNO", "dyno"],
  ["WARM_UP", "warm-up"],
] as const;

const DAY = z.object({
  date: z.string(),
  kind: z.enum(KINDS.map(([k]) => k)),
  eventId: z.string(),
  lines: z.array(
    z.object({
      id: z.string(),
      minutes: figure(),
      topRpm: figure(),
      overRevs: figure(),
      used: figure(),
      best: seconds(),
      powerHp: figure(),
      note: words(),
      /** What a logger's file said beside the boxes. */
      logged: z.custom<Schemas["Sum"]>().optional(),
    }),
  ),
});

const blank = () => ({
  id: newId(),
  minutes: "",
  topRpm: "",
  overRevs: "",
  used: "",
  best: "",
  powerHp: "",
  note: "",
});

/** A day's runs, a line each; there is always a blank one to go on with. */
export function useDay(engineId: string, events: Schemas["EventView"][], done: () => void) {
  const { hand } = useSettings();
  const entry = useEntry({
    schema: DAY,
    first: {
      date: new Date().toISOString().slice(0, 10),
      kind: "HILL_RUN" as const,
      eventId: events.find((e) => e.runHours === undefined)?.id ?? "",
      lines: [blank()],
    },
    send: ({ lines, eventId, ...day }) =>
      answered(
        api.PUT("/api/engines/{id}/runs", {
          params: { path: { id: engineId } },
          body: lines.flatMap(({ id, minutes, topRpm, overRevs, used, best, powerHp, note, logged }) =>
            minutes === undefined
              ? []
              : [
                  {
                    id,
                    run: {
                      engineId,
                      eventId: eventId || undefined,
                      ...day,
                      minutes,
                      topRpm,
                      overRevs: overRevs ?? 0,
                      used,
                      bestSeconds: best,
                      powerHp,
                      note,
                      cycles: logged?.cycles,
                      hottestF: logged?.hottest,
                      fromLogger: logged !== undefined,
                      hand,
                    },
                  },
                ],
          ),
        }),
      ),
    kept: async () => {
      await askedAnew();
      done();
    },
  });
  const rows = useFieldArray({ control: entry.form.control, name: "lines", keyName: "key" });
  const lines = entry.form.watch("lines");
  return {
    entry,
    lines,
    filled: lines.filter((l) => l.minutes.trim() !== "").length,
    /** After a line was begun there is another. */
    goOn: () => {
      if (entry.form.getValues("lines").at(-1)?.minutes.trim() !== "")
        rows.append(blank(), { shouldFocus: false });
    },
    /** A logger's file fills the last line. */
    logged: (sum: Schemas["Sum"]) => {
      rows.update(lines.length - 1, {
        ...blank(),
        minutes: String(Math.round(sum.hours * 600) / 10),
        topRpm: String(Math.round(sum.topRpm)),
        overRevs: String(sum.overRevs),
        logged: sum,
      });
      rows.append(blank(), { shouldFocus: false });
    },
  };
}
