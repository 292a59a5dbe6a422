import type { Schemas } from "../../api/client";
import { Chart, pathOf } from "../../charts/Chart";
import { useSettings } from "../../shell/settings";
import { heightText, loadText } from "../../units/load";

export interface DrawnSpring {
  name: string;
  curve: Schemas["At"][];
  fit: Schemas["Fit"];
  liftIn: number;
  /** The one in hand; the others are drawn beside it. */
  main?: boolean;
}

const PAD = { l: 48, r: 24, t: 16, b: 26 };
const DASHES = ["", "8 4", "2 4", "12 3 2 3"];

/** Load against height: where each spring sits closed and open, and how far it then is from bind. */
export function LoadDrawing({ springs, height = 230 }: { springs: DrawnSpring[]; height?: number }) {
  const { unit } = useSettings();
  const points = springs.flatMap((s) => s.curve);
  if (points.length === 0) return null;
  const open = (s: DrawnSpring) => s.fit.heightIn - s.liftIn;
  const binds = springs.map((s) =>
    s.fit.bindClearanceIn === undefined ? undefined : open(s) - s.fit.bindClearanceIn,
  );
  const heights = [...points.map((p) => p.heightIn), ...springs.map(open)];
  return (
    <Chart
      label={springs
        .map(
          (s) =>
            `${s.name}: ${loadText(s.fit.seatLbf, unit, 0)} closed at ${heightText(s.fit.heightIn, unit)}, ${loadText(s.fit.openLbf, unit, 0)} open`,
        )
        .join("; ")}
      height={height}
      pad={PAD}
      first={560}
      x={[Math.max(...heights), Math.min(...heights) - 0.02]}
      y={[0, Math.max(...points.map((p) => p.loadLbf), ...springs.map((s) => s.fit.openLbf)) * 1.06]}
      axes={{
        xText: (t) => heightText(t, unit).replace(/0$/, ""),
        yText: (t) => loadText(t, unit, 0),
      }}
    >
      {({ x, y, top, foot }) => (
        <>
          {springs.map((s, i) => {
            const colour = s.main ? "var(--accent)" : "var(--line)";
            const bind = binds[i];
            return (
              <g key={s.name}>
                <path
                  d={pathOf(
                    s.curve,
                    (p) => x(p.heightIn),
                    (p) => y(p.loadLbf),
                  )}
                  fill="none"
                  stroke={colour}
                  strokeWidth={s.main ? 2.5 : 1.6}
                  strokeDasharray={DASHES[i % DASHES.length]}
                />
                <Spot x={x(s.fit.heightIn)} y={y(s.fit.seatLbf)} colour={colour} closed />
                {s.liftIn > 0 && <Spot x={x(open(s))} y={y(s.fit.openLbf)} colour={colour} />}
                {bind !== undefined && (
                  <g>
                    <path
                      d={`M${x(bind)} ${top} V${foot} m6 -6 l-6 6 m6 -16 l-6 6 m6 -16 l-6 6 m6 -16 l-6 6`}
                      stroke={colour}
                      strokeWidth={2}
                      fill="none"
                    />
                    {s.liftIn > 0 && (
                      <Gap
                        from={x(open(s))}
                        to={x(bind)}
                        y={foot - 14 - 22 * i}
                        text={heightText(s.fit.bindClearanceIn, unit)}
                      />
                    )}
                  </g>
                )}
              </g>
            );
          })}
        </>
      )}
    </Chart>
  );
}

/** Closed: a filled seat. Open: a ring. */
function Spot({ x, y, colour, closed }: { x: number; y: number; colour: string; closed?: boolean }) {
  return closed ? (
    <rect x={x - 5} y={y - 5} width={10} height={10} fill={colour} />
  ) : (
    <circle cx={x} cy={y} r={5.5} fill="var(--plate)" stroke={colour} strokeWidth={2.5} />
  );
}

/** A measure between two lines, as on a drawing. */
function Gap({ from, to, y, text }: { from: number; to: number; y: number; text: string }) {
  return (
    <g stroke="var(--ink)" strokeWidth={1}>
      <path d={`M${from} ${y - 5} v10 M${from} ${y} H${to}`} fill="none" />
      <text
        x={Math.min(from, to) - 6}
        y={y}
        textAnchor="end"
        dominantBaseline="central"
        className="num"
        fontSize={15}
        fill="var(--ink)"
        stroke="none"
      >
        {text} to bind
      </text>
    </g>
  );
}
