import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { floats } from "../../api/camQueries";
import type { Schemas } from "../../api/client";
import { lashHistory, pockets, springLife } from "../../api/queries";
import { LashChart } from "../../charts/LashChart";
import { kindOf } from "../../plan/geometry";
import { MARKS, MarkIcon } from "../../plan/verdict";
import { useSettings } from "../../shell/settings";
import { buttonClass } from "../../ui/Button";
import { unitName } from "../../units/lash";
import { heightText, heightUnit, loadText, loadUnit } from "../../units/load";
import { rpmText } from "../../units/rpm";
import { wayText } from "../../words/adjust";
import { PocketRemarks } from "../spring/PocketRemarks";
import { LifeChart } from "./LifeChart";
import { Numbers, Reasons } from "./Reasons";
import type { SpringAt } from "./springFaces";

interface SpringPanelProps {
  engineId: string;
  spring: SpringAt;
}

/** One spring: what Shim says and why, its life, how it stands in its pocket, and the lash above it. */
export function SpringPanel({ engineId, spring }: SpringPanelProps) {
  const life = useQuery(springLife(spring.springId)).data;
  return (
    <section className="scribed grid gap-3 rounded p-4" aria-label={`Spring at ${spring.position}`}>
      <h2 className="flex flex-wrap items-center gap-3 text-xl">
        <MarkIcon mark={spring.said.verdict} size={30} />
        <span>
          {spring.position}: {MARKS[spring.said.verdict].word}
        </span>
        <span className="text-base font-medium text-muted">
          {spring.mark}, {spring.typeName}, <span className="num text-lg">{spring.hours.toFixed(1)}</span> h
        </span>
      </h2>
      <Numbers said={spring.said} />
      <LossInSpeed engineId={engineId} spring={spring} />
      {life && <LifeChart life={life} height={210} />}
      <Reasons said={spring.said} />
      {life && <LashAbove engineId={engineId} spring={spring} life={life} />}
      <InPocket engineId={engineId} spring={spring} />
      {life && life.fittings.length > 0 && <Fittings life={life} />}
    </section>
  );
}

/** What its loss costs in engine speed, where the cam bench knows enough to say. */
function LossInSpeed({ engineId, spring }: SpringPanelProps) {
  const own = useQuery(floats(engineId))
    .data?.sides.flatMap((s) => s.springs)
    .find((s) => s.valve === spring.position);
  if (!own) return null;
  return (
    <p>
      holds the cam to <b className="num text-lg">{rpmText(own.next.rpm)}</b> rpm after the next event; its
      loss costs <b className="num text-lg">{rpmText(own.lostRpm)}</b> rpm.{" "}
      <Link to="/engines/$id/cam/float" params={{ id: engineId }}>
        Float margin
      </Link>
    </p>
  );
}

/** The lash of the same valve on the same axis of hours. */
function LashAbove({ engineId, spring, life }: SpringPanelProps & { life: Schemas["SpringLife"] }) {
  const { unit } = useSettings();
  const lash = useQuery(lashHistory(engineId)).data;
  const own = lash?.valves.find((v) => v.position === spring.position);
  if (!lash || !own || own.points.every((p) => p.foundIn === undefined)) return null;
  const offset = life.engineHoursOffset;
  const end = (life.coming.at(-1)?.endHours ?? life.hoursNow) + offset;
  return (
    <div>
      <h3 className="text-sm font-semibold text-muted">
        Lash of {spring.position} in {unitName(unit)}, same hours
      </h3>
      <LashChart
        points={own.points}
        targets={lash.targets.filter((t) => t.kind === kindOf(spring.position))}
        changes={lash.changes.filter((c) => c.valves.includes(spring.position))}
        height={130}
        hours={[offset, Math.max(end, offset + 1)]}
        large
      />
    </div>
  );
}

function InPocket({ engineId, spring }: SpringPanelProps) {
  const { unit } = useSettings();
  const { fit } = spring;
  const pocket = useQuery(pockets(engineId)).data?.pockets.find((p) => p.position === spring.position);
  return (
    <div className="grid gap-2">
      <h3 className="text-base">In its pocket</h3>
      <p>
        height <b className="num text-lg">{heightText(spring.heightIn ?? fit.heightIn, unit)}</b>{" "}
        {heightUnit(unit)}
        {spring.heightIn === undefined && " (not measured: the target)"}, new {loadText(fit.seatLbf, unit, 0)}{" "}
        on the seat and {loadText(fit.openLbf, unit, 0)} {loadUnit(unit)} open
        {fit.bindClearanceIn !== undefined && `, ${heightText(fit.bindClearanceIn, unit)} from bind`}
        {fit.sealClearanceIn !== undefined && `, ${heightText(fit.sealClearanceIn, unit)} to the seal`}
        {fit.pocketPlayIn !== undefined && `, ${heightText(fit.pocketPlayIn, unit)} play in the pocket`}
      </p>
      <PocketRemarks fit={fit} links={pocket?.links ?? []} />
      {pocket?.ways[0] && (
        <p>
          Height out of tolerance: {wayText(pocket.ways[0].way, unit)}, to{" "}
          <b className="num text-lg">{heightText(pocket.ways[0].way.heightIn, unit)}</b>
        </p>
      )}
      <p>
        <Link to="/engines/$id/pockets" params={{ id: engineId }} className={buttonClass("quiet")}>
          Heights and parts
        </Link>
      </p>
    </div>
  );
}

function Fittings({ life }: { life: Schemas["SpringLife"] }) {
  return (
    <div>
      <h3 className="text-base">Where it was</h3>
      <ul>
        {life.fittings.map((f) => (
          <li key={f.engineName + f.valve + f.fromHours}>
            {f.engineName} {f.valve}, engine hours {f.fromHours.toFixed(1)} to{" "}
            {f.toHours === undefined ? "now" : f.toHours.toFixed(1)}
            {f.why && ` (${f.why})`}
          </li>
        ))}
      </ul>
    </div>
  );
}
