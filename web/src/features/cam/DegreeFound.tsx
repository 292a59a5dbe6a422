import type { Schemas } from "../../api/client";
import { Notice } from "../../ui/Notice";
import { Part } from "./CamFrame";
import { degText, lateText } from "./camWords";

/** What the readings say so far, the largest first. */
export function DegreeFound({ degree }: { degree: Schemas["DegreeView"] }) {
  const s = degree.stands;
  return (
    <Part title="Found">
      {degree.zeroStandsDeg !== undefined && (
        <p>
          true TDC stands at <b className="num">{degText(degree.zeroStandsDeg)}</b> on the wheel:{" "}
          {degree.zeroStandsDeg === 0
            ? "the pointer is right"
            : degree.sitting.pointerMoved
              ? `the pointer is moved by ${degText(Math.abs(degree.zeroStandsDeg))} before the lobes are read`
              : "taken off every reading"}
        </p>
      )}
      <p className="num text-4xl font-bold">{s ? lateText(s.lateDeg) : "–"}</p>
      {s && (
        <p className="text-lg">
          ICL <b className="num">{degText(s.iclDeg)}</b>, ECL <b className="num">{degText(s.eclDeg)}</b>, LSA{" "}
          <b className="num">{degText(s.lsaDeg)}</b>, advance <b className="num">{degText(s.advanceDeg)}</b>
        </p>
      )}
      {(["intake", "exhaust"] as const).map((kind) => {
        const c = degree[kind];
        return c && !c.agree ? (
          <Notice key={kind} tone="ask">
            The {kind}'s two heights are {degText(c.apartDeg)} apart: its lobe is lopsided, or a reading is
            wrong.
          </Notice>
        ) : null;
      })}
    </Part>
  );
}
