import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { sheetReading } from "../../api/queries";
import { CrankRibbon } from "../../ribbon/CrankRibbon";
import type { Figure } from "./useSitting";

type Window = Schemas["Window"];

interface RibbonProps {
  engine: Schemas["EngineView"];
  degree: Schemas["DegreeView"];
  figures: Figure[];
}

const turned = (w: Window, by: number): Window => {
  const on = (deg: number) => (deg + by + 720) % 720;
  return {
    ...w,
    centreDeg: on(w.centreDeg),
    opensDeg: on(w.opensDeg),
    closesDeg: on(w.closesDeg),
    freeFromDeg: on(w.freeFromDeg),
    freeToDeg: on(w.freeToDeg),
  };
};

/** Number one's valves on the ribbon: the card in ghost lines, as found in ink, each reading a scribe. */
export function Ribbon({ engine, degree, figures }: RibbonProps) {
  const facts = useQuery(sheetReading(engine.sheet)).data?.facts;
  const [crank, setCrank] = useState(360);
  const cylinder = engine.layout.firingOrder[0];
  const own = (facts?.windows ?? []).filter((w) => Number.parseInt(w.position, 10) === cylinder);
  if (own.length === 0) return null;
  const intake = (w: Window) => w.position.includes("I");
  const lateOf = (w: Window) =>
    (intake(w) ? degree.stands?.lateIntakeDeg : degree.stands?.lateExhaustDeg) ?? degree.stands?.lateDeg ?? 0;
  const off = degree.sitting.pointerMoved ? 0 : (degree.zeroStandsDeg ?? 0);
  const lane = (kind: "I" | "E") => own.find((w) => w.position.includes(kind))?.position ?? "";
  const readings = figures.flatMap((f) => {
    if (f.what === "INTAKE_UP" || f.what === "INTAKE_DOWN")
      return [{ valve: lane("I"), crankDeg: 360 + f.figure - off }];
    if (f.what === "EXHAUST_UP" || f.what === "EXHAUST_DOWN")
      return [{ valve: lane("E"), crankDeg: 360 - f.figure - off }];
    return [];
  });
  return (
    <section className="scribed rounded p-2" aria-label="Crank ribbon">
      <CrankRibbon
        windows={own.map((w) => turned(w, lateOf(w)))}
        ghosts={own}
        readings={readings}
        tdc={engine.layout.compressionTdc.filter((t) => t.cylinder === cylinder)}
        crankDeg={crank}
        onCrank={setCrank}
      />
      <p className="px-1 text-sm text-muted">
        broken line: the card; full line: as found; upright strokes: readings. 360 is TDC between exhaust and
        intake.
      </p>
    </section>
  );
}
