import type { Schemas, Valve } from "../api/client";
import { chanceText } from "../words/said";

interface NextReadingProps {
  next: Schemas["WorthReading"] | undefined;
  onValve: (v: Valve) => void;
}

/** The cheapest way to know more: the valve whose next reading is worth most. */
export function NextReading({ next, onValve }: NextReadingProps) {
  if (!next) return null;
  return (
    <p>
      Reading worth most now:{" "}
      <button
        type="button"
        onClick={() => onValve(next.position)}
        className="mx-0.5 min-h-11 min-w-11 rounded border border-hair bg-raised px-2 underline"
      >
        {next.position}
      </button>{" "}
      <span className="text-muted">{chanceText(next.decides)} chance that it changes the verdict</span>
    </p>
  );
}
