import * as z from "zod";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas } from "../../api/client";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Check, Field, Select } from "../../ui/Field";
import { useEntry } from "../../ui/useEntry";
import { boxText, figure, height } from "../../units/boxes";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";
import { type BenchProps, CamFrame, Part } from "./CamFrame";

type Kind = Schemas["KindBench"];

/** What is set once for the bench: the drive, valve angles, limits and weights. */
export function CamSetupPage() {
  return <CamFrame>{(bench) => <Setup {...bench} />}</CamFrame>;
}

const kind = (unit: LashUnit, was?: Kind) =>
  z.object({
    valveAngleDeg: figure(),
    crown: z.string(),
    wantedGapIn: height(unit, was?.wantedGapIn),
    headIn: height(unit, was?.headIn),
    pocketIn: height(unit, was?.pocketIn),
    valveG: figure(),
    retainerG: figure(),
    locksG: figure(),
    springG: figure(),
    rockerGIn2: figure(),
    armIn: height(unit, was?.armIn),
    pushrodG: figure(),
    lifterG: figure(),
  });

const STEELS = [
  ["CHROME_SILICON", "chrome silicon"],
  ["CHROME_VANADIUM", "chrome vanadium"],
  ["MUSIC", "music wire"],
  ["OIL_TEMPERED", "oil tempered"],
  ["HARD_DRAWN", "hard drawn"],
] as const;

const steps = () =>
  z.string().transform((t, ctx) => {
    const all = t
      .trim()
      .split(/[\s;]+/)
      .filter((s) => s !== "")
      .map((s) => Number(s.replace(",", ".").replace("−", "-")));
    if (all.some((n) => !Number.isFinite(n)))
      ctx.addIssue({ code: "custom", message: "figures with blanks between" });
    return all;
  });

function Setup({ engine, cam }: BenchProps) {
  const { unit, hand, setHand } = useSettings();
  const b = cam.bench;
  const inch = (v: number) => heightText(v, unit);
  const first = (k?: Kind) => ({
    valveAngleDeg: boxText(k?.valveAngleDeg, String),
    crown: k?.crown ?? "POCKET",
    wantedGapIn: boxText(k?.wantedGapIn, inch),
    headIn: boxText(k?.headIn, inch),
    pocketIn: boxText(k?.pocketIn, inch),
    valveG: boxText(k?.valveG, String),
    retainerG: boxText(k?.retainerG, String),
    locksG: boxText(k?.locksG, String),
    springG: boxText(k?.springG, String),
    rockerGIn2: boxText(k?.rockerGIn2, String),
    armIn: boxText(k?.armIn, inch),
    pushrodG: boxText(k?.pushrodG, String),
    lifterG: boxText(k?.lifterG, String),
  });
  const { box, submit, trouble, error, kept, form } = useEntry({
    schema: z.object({
      offers: steps(),
      marked: z.string(),
      wanted: figure(),
      topRpm: figure(),
      steel: z.string(),
      peened: z.boolean(),
      intake: kind(unit, b.intake),
      exhaust: kind(unit, b.exhaust),
    }),
    first: {
      offers: (b.driveOffers ?? [-4, 0, 4]).join(" "),
      marked: b.driveMarked ?? "CRANK",
      wanted: boxText(b.wantedAdvanceDeg, String),
      topRpm: boxText(b.topRpm, String),
      steel: b.steel ?? "CHROME_SILICON",
      peened: b.peened ?? true,
      intake: first(b.intake),
      exhaust: first(b.exhaust),
    },
    fields: { offers: "bench.driveOffers", wanted: "bench.wantedAdvanceDeg", topRpm: "bench.topRpm" },
    elsewhere: ["hand"],
    send: (r) =>
      answered(
        api.PUT("/api/engines/{id}/cam/bench", {
          params: { path: { id: engine.id } },
          body: {
            hand,
            basedOn: cam.benchVersion,
            bench: {
              driveOffers: r.offers,
              driveMarked: r.marked as "CRANK" | "CAM",
              wantedAdvanceDeg: r.wanted,
              topRpm: r.topRpm,
              steel: r.steel as (typeof STEELS)[number][0],
              peened: r.peened,
              intake: { ...r.intake, crown: r.intake.crown as "POCKET" | "FLAT" },
              exhaust: { ...r.exhaust, crown: r.exhaust.crown as "POCKET" | "FLAT" },
            },
          },
        }),
      ),
    kept: askedAnew,
  });
  const of = heightUnit(unit);
  const number = { inputMode: "decimal" as const };
  const side = (k: "intake" | "exhaust") => (
    <Part title={k === "intake" ? "Intake valves" : "Exhaust valves"}>
      <div className="grid grid-cols-2 gap-3">
        <Field label="Valve to bore, °" {...number} {...box(`${k}.valveAngleDeg`)} />
        <Select
          label="It meets"
          options={[
            ["POCKET", "a pocket parallel to the valve"],
            ["FLAT", "a flat crown"],
          ]}
          {...box(`${k}.crown`)}
        />
        <Field
          label={`Least gap wanted, ${of}`}
          hint={`blank: ${heightText(k === "intake" ? 0.08 : 0.1, unit)}, usual`}
          {...number}
          {...box(`${k}.wantedGapIn`)}
        />
        <Field label={`Valve head, ${of}`} {...number} {...box(`${k}.headIn`)} />
        <Field label={`Pocket in the piston, ${of}`} {...number} {...box(`${k}.pocketIn`)} />
        <Field label={`Rocker, fulcrum to tip, ${of}`} {...number} {...box(`${k}.armIn`)} />
        <Field label="Valve, g" {...number} {...box(`${k}.valveG`)} />
        <Field label="Retainer, g" {...number} {...box(`${k}.retainerG`)} />
        <Field label="Pair of locks, g" {...number} {...box(`${k}.locksG`)} />
        <Field label="Spring, whole, g" {...number} {...box(`${k}.springG`)} />
        <Field label="Pushrod, g" {...number} {...box(`${k}.pushrodG`)} />
        <Field label="Lifter, g" {...number} {...box(`${k}.lifterG`)} />
        <Field label="Rocker inertia, g·in²" hint="blank: left out" {...number} {...box(`${k}.rockerGIn2`)} />
      </div>
    </Part>
  );
  return (
    <form className="grid gap-3 p-3" onSubmit={submit}>
      <div className="grid items-start gap-3 min-[1000px]:grid-cols-3">
        <Part title="Cam drive and springs">
          <Field label="Steps the drive offers" hint="advance is plus: −4 0 4" {...box("offers")} />
          <Select
            label="Its marks count"
            options={[
              ["CRANK", "crank degrees"],
              ["CAM", "cam degrees: one is two at the crank"],
            ]}
            {...box("marked")}
          />
          <Field
            label="Wanted earlier than the card, crank °"
            hint="blank: as the card"
            {...number}
            {...box("wanted")}
          />
          <Field label="Turned to, rpm" {...number} {...box("topRpm")} />
          <Select label="Springs are of" options={STEELS} {...box("steel")} />
          <Check label="Shot peened" {...form.register("peened")} />
        </Part>
        {side("intake")}
        {side("exhaust")}
      </div>
      <div className="max-w-xl">
        <Initials value={hand} onChange={setHand} error={error("hand")} />
      </div>
      {trouble && <p className="font-semibold text-tight">✕ {trouble}</p>}
      <p className="flex items-center gap-3">
        <Button look="now" type="submit">
          Keep this
        </Button>
        {kept && <span className="text-ok">✓ kept</span>}
      </p>
    </form>
  );
}
