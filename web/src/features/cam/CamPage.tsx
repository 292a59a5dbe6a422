import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { useState } from "react";
import { floats as floatsQuery } from "../../api/camQueries";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { lashText, unitName } from "../../units/lash";
import { rpmText } from "../../units/rpm";
import { type BenchProps, CamFrame, Part } from "./CamFrame";
import { lateText, VERDICTS } from "./camWords";
import { Degreed } from "./Degreed";
import { RingGaps } from "./RingGaps";

/** Where the cam stands, and what else of it is known. */
export function CamPage() {
  return <CamFrame>{(bench) => <Stands {...bench} />}</CamFrame>;
}

function Stands({ engine, cam }: BenchProps) {
  const [rings, setRings] = useState(false);
  const last = cam.degreeings.find((d) => d.stands);
  const params = { id: engine.id };
  return (
    <div className="grid gap-3 p-3">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <div className="min-w-72 flex-1">
          <p className="text-muted">
            {cam.card ? `Against the card ${cam.card}` : "No cam card is written down yet"}
          </p>
          <p className="num text-5xl font-bold" data-cam-stands>
            {last?.stands ? lateText(last.stands.lateDeg) : "not degreed"}
          </p>
          <p>
            {last?.stands ? VERDICTS[last.stands.verdict] : "A wheel, a stop and a dial tell in ten minutes."}
          </p>
        </div>
        <Button onClick={() => setRings(true)}>Ring gaps</Button>
        {cam.timing ? (
          <Link to="/engines/$id/cam/degree" params={params} className={buttonClass("now")}>
            {last ? "Degree it again" : "Degree the cam"}
          </Link>
        ) : (
          <Link to="/engines/$id/setup" params={params} className={buttonClass("now")}>
            Write down the card
          </Link>
        )}
      </div>
      <div className="grid items-start gap-3 min-[1000px]:grid-cols-2">
        <Degreed engine={engine} cam={cam} />
        <div className="grid gap-3">
          <Lashes engine={engine} cam={cam} />
          <Basis engine={engine} cam={cam} />
          <Others engine={engine} cam={cam} />
        </div>
      </div>
      {rings && <RingGaps boreIn={engine.sheet.bottomEnd?.boreIn} onClose={() => setRings(false)} />}
    </div>
  );
}

type Two = Pick<BenchProps, "engine" | "cam">;

function Lashes({ engine, cam }: Two) {
  const { unit } = useSettings();
  const l = cam.lashes;
  if (cam.hydraulic) return null;
  const row = (name: string, intake?: number, exhaust?: number) => (
    <tr className="border-t border-hair">
      <th className="text-left font-normal">{name}</th>
      <td className="num text-lg">{lashText(intake, unit)}</td>
      <td className="num text-lg">{lashText(exhaust, unit)}</td>
    </tr>
  );
  return (
    <Part title={`Lash, ${unitName(unit)}, ${l.state.toLowerCase()}`}>
      <table className="w-full">
        <thead>
          <tr className="text-left text-sm text-muted">
            <th />
            <th>intake</th>
            <th>exhaust</th>
          </tr>
        </thead>
        <tbody>
          {row("the card's", l.cardIntakeIn, l.cardExhaustIn)}
          {row("lowest allowed", l.floorIntakeIn, l.floorExhaustIn)}
          {row("the team's own", l.teamIntakeIn, l.teamExhaustIn)}
        </tbody>
      </table>
      <p>
        <Link to="/engines/$id/cam/side-by-side" params={{ id: engine.id }}>
          What another lash would do
        </Link>
      </p>
    </Part>
  );
}

/** What windows, slack and durations rest on. */
function Basis({ engine, cam }: Two) {
  const on = (kind: "INTAKE" | "EXHAUST") =>
    cam.measuredOn[kind] ? `the lobe measured on ${cam.measuredOn[kind]}` : "the card";
  return (
    <Part title="Free windows, slack and durations go by">
      <p>
        intake: <b>{on("INTAKE")}</b>; exhaust: <b>{on("EXHAUST")}</b>
      </p>
      <p>
        <Link to="/engines/$id/cam/lobes" params={{ id: engine.id }}>
          Measured lobes ({cam.lobes.length})
        </Link>
      </p>
    </Part>
  );
}

/** The other benches, each with what it last said. */
function Others({ engine, cam }: Two) {
  const params = { id: engine.id };
  const gaps = cam.clearances[0];
  const rods = cam.pushrods[0];
  const floats = useQuery(floatsQuery(engine.id)).data;
  const weakest = floats?.sides
    .flatMap((s) => (s.weakest ? [s.weakest] : []))
    .sort((a, b) => a.next.rpm - b.next.rpm)[0];
  return (
    <Part title="On the bench">
      <ul className="grid gap-1">
        <li>
          <Link to="/engines/$id/cam/clearance" params={params}>
            Piston to valve
          </Link>
          : {gaps ? `${gaps.readings} readings at ${gaps.sitting.engineHours.toFixed(1)} h` : "not measured"}
        </li>
        <li>
          <Link to="/engines/$id/cam/pushrods" params={params}>
            Pushrods
          </Link>
          : {rods ? `${rods.readings} readings at ${rods.sitting.engineHours.toFixed(1)} h` : "not measured"}
        </li>
        <li>
          <Link to="/engines/$id/cam/float" params={params}>
            Springs hold the cam
          </Link>
          :{" "}
          {weakest ? (
            <>
              to <b className="num text-lg">{rpmText(weakest.next.rpm)}</b> rpm after the next event
            </>
          ) : (
            "not known yet"
          )}
        </li>
      </ul>
    </Part>
  );
}
