import { useState } from "react";
import type { Schemas } from "../../api/client";
import { HeldParcels } from "../../outbox/HeldParcels";
import { KeptHere } from "../../outbox/KeptHere";
import { ReadPanel } from "../../reading/ReadPanel";
import { InlineInitials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { heightText, heightUnit } from "../../units/load";
import { type BenchProps, CamFrame, Part } from "./CamFrame";
import { Corrections } from "./Corrections";
import { ASKED, degText } from "./camWords";
import { DegreeFound } from "./DegreeFound";
import { DegreeStart } from "./DegreeStart";
import { EncoderPart } from "./EncoderPart";
import { Ribbon } from "./Ribbon";
import { type Figure, type Known, useReadings } from "./useSitting";

type Degree = Schemas["DegreeView"];

/** Degreeing: TDC by the stop, then each lobe, reading by reading; and what the drive can do. */
export function DegreePage() {
  return <CamFrame>{(bench) => <Degrees {...bench} />}</CamFrame>;
}

function Degrees(bench: BenchProps) {
  const [fresh, setFresh] = useState(false);
  const last = bench.cam.degreeings[0];
  if (!bench.cam.timing) {
    return (
      <div className="p-3">
        <Notice tone="ask">
          Write down the cam card first, under Set-up: there is nothing to hold it against.
        </Notice>
      </div>
    );
  }
  return fresh || !last ? (
    <DegreeStart {...bench} onBegun={() => setFresh(false)} />
  ) : (
    <Degreeing key={last.id} {...bench} degree={last} onAnew={() => setFresh(true)} />
  );
}

/** Figures of a reading that is wanted, oldest first. */
const takenOf = (figures: Figure[], w: Degree["wanted"][number]) =>
  figures.filter((f) => f.what === w.what && Math.abs(f.at - w.heightIn) < 1e-9).map((f) => f.figure);

interface DegreeingProps extends BenchProps {
  degree: Degree;
  onAnew: () => void;
}

function Degreeing({ engine, cam, degree, onAnew }: DegreeingProps) {
  const { unit } = useSettings();
  const known: Known[] = degree.readings;
  const work = useReadings({ engineId: engine.id, sittingId: degree.id, page: "degree", known });
  const { wanted } = degree;
  const open = (from: number, figures: Figure[]) => {
    for (let i = 0; i < wanted.length; i++) {
      const at = (from + i) % wanted.length;
      const w = wanted[at];
      if (w && takenOf(figures, w).length === 0) return at;
    }
    return -1;
  };
  const first = open(0, work.figures);
  const [at, setAt] = useState(Math.max(0, first));
  const [done, setDone] = useState(first < 0);
  const now = wanted[at];
  const keep = (figure: number) => {
    if (!now) return;
    const here = { what: now.what, at: now.heightIn };
    work.read({ ...here, figure });
    const next = open(at + 1, [...work.figures, { ...here, figure, touched: true }]);
    if (next < 0) setDone(true);
    else setAt(next);
  };
  const asked = now && ASKED[now.what](`${heightText(now.heightIn, unit)} ${heightUnit(unit)}`);
  return (
    <div className="grid gap-2 p-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 px-1">
        <h2 className="text-lg">Degreed at {degree.sitting.engineHours.toFixed(1)} h</h2>
        <InlineInitials word="measured by" label="Initials of who measures" />
        <KeptHere parcels={work.parcels.filter((p) => !p.held)} of="figure" />
        <Button onClick={onAnew} look={done ? "plain" : "quiet"}>
          Degree it anew
        </Button>
      </div>
      <HeldParcels parcels={work.parcels} />
      {degree.contradiction && <Notice tone="stop">{degree.contradiction}</Notice>}
      <Ribbon engine={engine} degree={degree} figures={work.figures} />
      <div className="grid items-start gap-2 min-[1000px]:grid-cols-2">
        <div className="grid gap-2">
          {!done && now && asked && (
            <ReadPanel
              key={at}
              {...asked}
              of="DEG"
              signed={now.what === "IVO" || now.what === "EVC"}
              taken={takenOf(work.figures, now)}
              initials={work.hand !== ""}
              onKeep={keep}
              onMove={(by) => setAt((at + by + wanted.length) % wanted.length)}
              onBack={() => work.takeBack((f) => f.what === now.what && (f.at ?? 0) === now.heightIn)}
            >
              <EncoderPart what={now.what} heightIn={now.heightIn} nobody={work.hand === ""} onTake={keep} />
            </ReadPanel>
          )}
          <Readings
            wanted={wanted}
            figures={work.figures}
            here={done ? -1 : at}
            onChoose={(i) => {
              setAt(i);
              setDone(false);
            }}
          />
        </div>
        <div className="grid gap-2">
          <DegreeFound degree={degree} />
          {degree.stands && <Corrections degree={degree} marked={cam.bench.driveMarked ?? "CRANK"} />}
        </div>
      </div>
    </div>
  );
}

interface ReadingsProps {
  wanted: Degree["wanted"];
  figures: Figure[];
  here: number;
  onChoose: (i: number) => void;
}

/** All readings in working order; any may be taken again. */
function Readings({ wanted, figures, here, onChoose }: ReadingsProps) {
  const { unit } = useSettings();
  return (
    <Part title="Readings">
      <ul className="grid grid-cols-2 gap-1">
        {wanted.map((w, i) => {
          const figure = takenOf(figures, w).at(-1);
          return (
            <li key={`${w.what} ${w.heightIn}`}>
              <button
                type="button"
                aria-current={i === here}
                onClick={() => onChoose(i)}
                className="flex min-h-11 w-full items-center justify-between rounded border border-hair px-3 aria-[current=true]:border-accent"
              >
                <span>
                  {ASKED[w.what]("").place}
                  {w.heightIn > 0 && <span className="num text-muted"> {heightText(w.heightIn, unit)}</span>}
                </span>
                <b className="num text-xl">{figure === undefined ? "·" : degText(figure)}</b>
              </button>
            </li>
          );
        })}
      </ul>
    </Part>
  );
}
