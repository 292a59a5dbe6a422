import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { useState } from "react";
import { floats } from "../../api/camQueries";
import type { Schemas } from "../../api/client";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { buttonClass } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Notice } from "../../ui/Notice";
import { loadText, loadUnit } from "../../units/load";
import { rpmText as rpm } from "../../units/rpm";
import { type BenchProps, CamFrame, Part } from "./CamFrame";
import { MISSING } from "./camWords";
import { Curves, Kinds } from "./FloatParts";

type Side = Schemas["FloatSide"];

/** How little spring is enough: the speed at which each loses hold, new, today and after the next event. */
export function FloatPage() {
  return <CamFrame>{(bench) => <Floats {...bench} />}</CamFrame>;
}

function Floats({ engine }: BenchProps) {
  const query = useQuery(floats(engine.id));
  const [kind, setKind] = useState<Side["kind"]>("INTAKE");
  if (!query.data) return query.error ? <Problem error={query.error} /> : <Waiting />;
  const side = query.data.sides.find((s) => s.kind === kind) ?? query.data.sides[0];
  if (!side) return null;
  return (
    <div className="grid gap-3 p-3">
      <div className="flex flex-wrap items-end gap-6">
        <Choice
          label="Valves"
          value={kind}
          onChange={setKind}
          options={[
            ["INTAKE", "intake"],
            ["EXHAUST", "exhaust"],
          ]}
        />
        <p className="min-w-72 flex-1 text-muted">
          Stiff parts: a real train bends and floats somewhat earlier. It compares springs better than it
          promises a speed. The builder's limit comes first.
        </p>
      </div>
      {side.missing.length > 0 ? (
        <Missing engineId={engine.id} side={side} />
      ) : (
        <Answer side={side} topRpm={query.data.topRpm} />
      )}
    </div>
  );
}

function Missing({ engineId, side }: { engineId: string; side: Side }) {
  const weights = side.missing.includes("WEIGHTS");
  const params = { id: engineId };
  return (
    <Notice tone="ask">
      <p>
        For the speed at which a spring loses hold Shim wants{" "}
        {side.missing.map((m) => MISSING[m] ?? m).join(", ")}.
      </p>
      {side.atMostRpm !== undefined && (
        <p>
          By the card alone it cannot be above <b className="num">{rpm(side.atMostRpm)}</b> rpm.
        </p>
      )}
      {weights ? (
        <Link to="/engines/$id/setup/cam" params={params} className={buttonClass("now")}>
          Write down the weights
        </Link>
      ) : side.missing.includes("LOBE") ? (
        <Link to="/engines/$id/cam/lobes" params={params} className={buttonClass("now")}>
          Take in a lift table
        </Link>
      ) : (
        <Link to="/engines/$id/setup/springs" params={params} className={buttonClass("now")}>
          Put the springs in
        </Link>
      )}
    </Notice>
  );
}

function Answer({ side, topRpm }: { side: Side; topRpm: number }) {
  const { unit } = useSettings();
  const w = side.weakest;
  if (!side.fresh || !w) return null;
  const spread = Math.round((w.next.highRpm - w.next.lowRpm) / 20) * 10;
  const short = w.next.rpm < topRpm;
  return (
    <div className="grid items-start gap-3 min-[1000px]:grid-cols-2">
      <div className="grid gap-3">
        <Part title={`The weakest: ${w.valve}, ${w.mark}`}>
          <p className={`num text-5xl font-bold ${short ? "text-tight" : ""}`} data-float>
            {rpm(w.next.rpm)} <span className="text-2xl">± {spread} rpm</span>
          </p>
          <p className="text-lg">
            after the next event; new <b className="num">{rpm(side.fresh.rpm)}</b>, today{" "}
            <b className="num">{rpm(w.today.rpm)}</b>. Its loss costs <b className="num">{rpm(w.lostRpm)}</b>{" "}
            rpm.
          </p>
          <p className="text-muted">
            {short ? "Below" : w.next.lowRpm < topRpm ? "Not surely above" : "Above"} the {rpm(topRpm)} rpm it
            is turned to. It lets go at {w.next.atDeg.toFixed(0).replace("-", "−")}° from the nose, at{" "}
            {loadText(w.next.loadLbf, unit, 0)} {loadUnit(unit)}. Lobe: {side.lobe}; {side.massG?.toFixed(0)}{" "}
            g at the valve
            {side.boostLbf > 0 && `; boost takes ${loadText(side.boostLbf, unit, 0)} ${loadUnit(unit)} off`}
          </p>
        </Part>
        <Curves side={side} topRpm={topRpm} />
      </div>
      <Kinds side={side} />
    </div>
  );
}
