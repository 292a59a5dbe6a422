import { useState } from "react";
import type { Schemas } from "../../api/client";
import { ReadPanel } from "../../reading/ReadPanel";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { readNumber } from "../../units/load";
import { ASKED, TRAPS } from "./camWords";
import { DialGap } from "./DialGap";
import { figuresAt, nextOpen, type useReadings } from "./useSitting";

interface GapReadProps {
  engine: Schemas["EngineView"];
  work: ReturnType<typeof useReadings>;
  valve: string | undefined;
  onValve: (v: string) => void;
  school: NonNullable<Schemas["SittingSheet"]["school"]>;
}

/** Usual places to measure, degrees after gas-exchange TDC. */
const usual = (valve: string) => (valve.includes("I") ? 10 : -10);

/** The gap at one valve after another, from the number block; a key for one that was not reached. */
export function GapRead({ engine, work, valve, onValve, school }: GapReadProps) {
  const valves = engine.layout.banks.flatMap((b) => b.valves);
  const here = valve ?? nextOpen(valves, work.figures, "GAP", 0) ?? valves[0] ?? "";
  const [angle, setAngle] = useState<string>();
  const deg = readNumber((angle ?? String(usual(here))).replace("−", "-"));
  const keep = (touched: boolean) => (figure: number) => {
    work.read({ what: "GAP", valve: here, at: deg ?? usual(here), figure, touched });
    const now = [...work.figures, { what: "GAP" as const, valve: here, at: 0, figure, touched }];
    const on = nextOpen(valves, now, "GAP", valves.indexOf(here) + 1);
    if (on !== undefined) onValve(on);
  };
  const move = (by: number) =>
    onValve(valves[(valves.indexOf(here) + by + valves.length) % valves.length] ?? here);
  const asked = ASKED.GAP("");
  return (
    <ReadPanel
      key={here}
      place={here}
      name={asked.name}
      how={asked.how}
      of="INCH"
      taken={figuresAt(work.figures, "GAP", here).map((f) => f.figure)}
      initials={work.hand !== ""}
      onKeep={keep(true)}
      onMove={move}
      onBack={() => work.takeBack((f) => f.what === "GAP" && f.valve === here)}
      also={{ key: "n", words: "Not reached: at least this", onKeep: keep(false) }}
    >
      <div className="grid max-w-md gap-2">
        <Field
          label="Crank, degrees after TDC; before is minus"
          inputMode="text"
          value={angle ?? String(usual(here)).replace("-", "−")}
          onChange={(e) => setAngle(e.target.value)}
          error={deg === undefined || !(Math.abs(deg) <= 60) ? "an angle from −60 to 60" : undefined}
        />
      </div>
      <DialGap valve={here} nobody={work.hand === ""} onTake={keep(true)} />
      <Notice tone={school === "NO_SPRING" ? "care" : "know"}>{TRAPS[school]}</Notice>
    </ReadPanel>
  );
}
