import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { heightText, heightUnit } from "../../units/load";
import { Part } from "./CamFrame";

const STEM = 0.343;
const SCALE = 300;

/** The wiped mark on the tip as it was found, drawn on the stem, beside the narrowest it could be. */
export function TipMark({ rod }: { rod: Schemas["RodAt"] }) {
  const { unit } = useSettings();
  const width = rod.tipWidthIn ?? 0;
  const offset = rod.tipOffsetIn ?? 0;
  const best = rod.narrowestIn;
  const mark = (w: number, at: number, y: number, colour: string) => (
    <rect
      x={70 + at * SCALE - (w * SCALE) / 2}
      width={Math.max(2, w * SCALE)}
      y={y}
      height={30}
      fill={colour}
      opacity={0.7}
    />
  );
  return (
    <Part title={`Mark on the tip of ${rod.valve}`}>
      <div className="flex flex-wrap items-center gap-4">
        <svg
          viewBox="0 0 140 140"
          className="h-36"
          role="img"
          aria-label="The mark on the stem's tip, fulcrum at the left"
        >
          <circle cx={70} cy={70} r={(STEM * SCALE) / 2} fill="none" stroke="var(--line)" strokeWidth={2} />
          <line x1={70} x2={70} y1={10} y2={130} stroke="var(--hair)" strokeDasharray="4 3" />
          {mark(width, offset, 38, "var(--accent)")}
          {best !== undefined && mark(best, 0, 76, "var(--ok)")}
        </svg>
        <p className="min-w-40 flex-1">
          found <b className="num">{heightText(width, unit)}</b> wide
          {best !== undefined && (
            <>
              ; narrowest here <b className="num">{heightText(best, unit)}</b>
            </>
          )}{" "}
          {heightUnit(unit)}.
          {rod.rodOffIn !== undefined && rod.rodOffIn > 0.002 && (
            <>
              {" "}
              On a stud that is a rod <b className="num">{heightText(rod.rodOffIn, unit)}</b> too long or too
              short: draw the checker that much each way, the narrower mark tells which. On a shaft the
              stand's height does the same.
            </>
          )}
        </p>
      </div>
    </Part>
  );
}
