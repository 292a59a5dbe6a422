import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { sideBySide } from "../../api/camQueries";
import type { Schemas } from "../../api/client";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import type { LashUnit } from "../../units/lash";
import { heightText, loadText, loadUnit } from "../../units/load";
import { type BenchProps, CamFrame, Part } from "./CamFrame";
import { boundsText, degText, gapText } from "./camWords";
import { LashSlider } from "./LashSlider";
import { LiftsDrawing } from "./LiftsDrawing";
import { OtherCamForm } from "./OtherCamForm";

type Column = Schemas["CamColumn"];

/** Cams beside each other on this engine, and what its own lash would do. */
export function SideBySidePage() {
  return <CamFrame>{(bench) => <Sides {...bench} />}</CamFrame>;
}

const nameOf = (c: Column, card?: string) =>
  c.otherId ? c.name : c.name === "card" ? "by the card alone" : (card ?? "in the engine");

function Sides({ engine, cam }: BenchProps) {
  const query = useQuery(sideBySide(engine.id));
  const [adding, setAdding] = useState(false);
  const [against, setAgainst] = useState<string>();
  if (!query.data) return query.error ? <Problem error={query.error} /> : <Waiting />;
  const { cams, mixed } = query.data;
  const first = cams[0];
  const other = cams.find((c) => c.otherId && c.otherId === against) ?? cams.find((c) => c.otherId);
  return (
    <div className="grid gap-3 p-3">
      <div className="flex flex-wrap items-center gap-3">
        <p className="min-w-72 flex-1">
          Every cam at this engine's ratios and lash. Where the valve really moves is a range until a lobe is
          measured.
        </p>
        <Button look={cams.length < 2 ? "now" : "plain"} onClick={() => setAdding(true)}>
          Hold another cam beside it
        </Button>
      </div>
      {mixed && (
        <Notice tone="care">
          A solid and a hydraulic cam stand here together: never line them up at 0.050. A solid one loses its
          lash first, so 29° apart on the cards may be 10° where the valves really move.
        </Notice>
      )}
      {!first ? (
        <Notice tone="ask">Write down this engine's cam card first, under Set-up.</Notice>
      ) : (
        <div className="grid items-start gap-3 min-[1000px]:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)]">
          <div className="grid gap-3">
            <Table cams={cams} card={cam.card} others={cam.others} onShow={setAgainst} />
            {!cam.hydraulic && <LashSlider engine={engine} cam={cam} />}
          </div>
          <LiftsDrawing own={first} other={other} names={[nameOf(first, cam.card), other?.name ?? ""]} />
        </div>
      )}
      {adding && <OtherCamForm engine={engine} cam={cam} onClose={() => setAdding(false)} />}
    </div>
  );
}

type Line = readonly [string, (c: Column, unit: LashUnit) => string];

const both = (of: (l: Schemas["LobeLineView"]) => string) => (c: Column) =>
  `${of(c.figures.intake)} / ${of(c.figures.exhaust)}`;

const LINES: Line[] = [
  ["lobe lift", (c, u) => both((l) => heightText(l.lobeIn, u))(c)],
  ["gross lift at the valve", (c, u) => both((l) => heightText(l.grossIn, u))(c)],
  ["net lift, lash off", (c, u) => both((l) => heightText(l.netIn, u))(c)],
  ["valve really moves", (c) => both((l) => boundsText(l.movingDeg))(c)],
  ["at 0.050 tappet lift", (c) => both((l) => degText(l.at050Deg))(c)],
  ["intake opens before TDC", (c) => boundsText(c.figures.intake.opensDeg)],
  ["intake closes after BDC", (c) => boundsText(c.figures.intake.closesDeg)],
  ["exhaust opens before BDC", (c) => boundsText(c.figures.exhaust.opensDeg)],
  ["exhaust closes after TDC", (c) => boundsText(c.figures.exhaust.closesDeg)],
  ["overlap", (c) => boundsText(c.figures.overlapDeg)],
  ["LSA, ICL", (c) => `${degText(c.figures.lsaDeg)}, ${degText(c.figures.iclDeg)}`],
  ["area, in·°", (c) => both((l) => boundsText(l.areaInDeg, 1, ""))(c)],
  [
    "open load, fitted springs",
    (c, u) =>
      `${loadText(c.wants.openIntakeLbf, u, 0)} / ${loadText(c.wants.openExhaustLbf, u, 0)} ${loadUnit(u)}`,
  ],
  [
    "least bind clearance",
    (c, u) => `${gapText(c.wants.bindIntakeIn, u)} / ${gapText(c.wants.bindExhaustIn, u)}`,
  ],
  [
    "least retainer to seal",
    (c, u) => `${gapText(c.wants.sealIntakeIn, u)} / ${gapText(c.wants.sealExhaustIn, u)}`,
  ],
  [
    "least piston to valve",
    (c, u) => `${gapText(c.wants.gapIntakeIn, u)} / ${gapText(c.wants.gapExhaustIn, u)}`,
  ],
];

interface TableProps {
  cams: Column[];
  card?: string;
  others: Schemas["OtherCamView"][];
  onShow: (id: string) => void;
}

/** Intake before the stroke, exhaust after it. */
function Table({ cams, card, others, onShow }: TableProps) {
  const { unit } = useSettings();
  const until = (c: Column) => others.find((o) => o.id === c.otherId)?.other.wasIn;
  return (
    <Part title="Intake / exhaust">
      <div className="overflow-x-auto">
        <table className="w-full">
          <thead>
            <tr className="text-left align-bottom">
              <th />
              {cams.map((c) => (
                <th key={c.otherId ?? c.name} className="px-2">
                  {c.otherId ? (
                    <button
                      type="button"
                      className="min-h-11 font-bold underline"
                      onClick={() => onShow(c.otherId ?? "")}
                    >
                      {c.name}
                    </button>
                  ) : (
                    nameOf(c, card)
                  )}
                  <span className="block text-sm font-normal text-muted">
                    {c.hydraulic ? "hydraulic" : "solid"}
                    {c.measured && ", measured"}
                    {until(c) !== undefined && `, in until ${until(c)?.toFixed(1)} h`}
                  </span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {LINES.map(([name, text]) => (
              <tr key={name} className="border-t border-hair">
                <th className="py-1 text-left text-sm font-normal text-muted">{name}</th>
                {cams.map((c) => (
                  <td key={c.otherId ?? c.name} className="num px-2 whitespace-nowrap">
                    {text(c, unit)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Part>
  );
}
