import { scaleLinear } from "d3-scale";
import type { Schemas } from "../../api/client";
import { useWidth } from "../../ui/useWidth";

interface TradeChartProps {
  trade: Schemas["TradePoint"][];
  stops: number;
  onStops: (k: number) => void;
}

const HEIGHT = 150;

/** Stops against worst slack: each bar is a choice. */
export function TradeChart({ trade, stops, onStops }: TradeChartProps) {
  const [box, width] = useWidth<HTMLFieldSetElement>(360);
  const most = Math.max(...trade.map((t) => t.worstSlackDeg), 1);
  const y = scaleLinear([0, most], [0, HEIGHT - 46]);
  const each = Math.max(14, Math.min(46, width / trade.length));
  return (
    <fieldset ref={box} className="flex min-w-0 items-end overflow-x-auto" style={{ height: HEIGHT }}>
      <legend className="sr-only">Number of stops</legend>
      {trade.map((t) => (
        <button
          key={t.stops}
          type="button"
          aria-pressed={t.stops === stops}
          aria-label={`${t.stops} stops, worst slack ${Math.round(t.worstSlackDeg)} degrees`}
          onClick={() => onStops(t.stops)}
          className="num group flex h-full shrink-0 flex-col items-center justify-end"
          style={{ width: each }}
        >
          <span className="text-sm">{each > 20 ? `${Math.round(t.worstSlackDeg)}°` : ""}</span>
          <span
            className="w-[70%] bg-line opacity-60 group-hover:opacity-100 group-aria-pressed:bg-accent group-aria-pressed:opacity-100"
            style={{ height: Math.max(2, y(t.worstSlackDeg)) }}
          />
          <span className={`text-base ${t.stops === stops ? "text-accent" : "text-muted"}`}>{t.stops}</span>
        </button>
      ))}
    </fieldset>
  );
}
