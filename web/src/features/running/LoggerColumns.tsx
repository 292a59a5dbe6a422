import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Button } from "../../ui/Button";
import { Select } from "../../ui/Field";

type Chosen = Schemas["Chosen"];

const UNITS = [
  ["SECONDS", "seconds"],
  ["MILLISECONDS", "milliseconds"],
  ["MINUTES", "minutes"],
  ["HOURS", "hours"],
] as const;

interface LoggerColumnsProps {
  titles: readonly string[];
  chosen?: Chosen;
  /** Something must be said before the file can be added up. */
  asked: boolean;
  onChosen: (chosen: Chosen) => void;
}

/** Which column is what, as it was understood, and otherwise where a person knows better. */
export function LoggerColumns({ titles, chosen, asked, onChosen }: LoggerColumnsProps) {
  const [c, setC] = useState<Chosen>(chosen ?? { time: 0, rpm: Math.min(1, titles.length - 1), heat: -1 });
  const columns = titles.map((t, i) => [String(i), t === "" ? `column ${i + 1}` : t] as const);
  const pick = (
    key: "time" | "rpm" | "heat",
    label: string,
    more: readonly (readonly [string, string])[] = [],
  ) => (
    <Select
      label={label}
      value={String(c[key])}
      options={[...more, ...columns]}
      onChange={(e) => setC({ ...c, [key]: Number(e.target.value) })}
    />
  );
  return (
    <details open={asked}>
      <summary className="min-h-11 cursor-pointer content-center font-semibold">Columns</summary>
      <div className="grid grid-cols-2 gap-2">
        {pick("time", "Time")}
        <Select
          label="Time counts in"
          value={c.unit ?? "SECONDS"}
          options={UNITS}
          onChange={(e) => setC({ ...c, unit: e.target.value as Chosen["unit"] })}
        />
        {pick("rpm", "Engine speed")}
        {pick("heat", "Temperature", [["-1", "none"]])}
        {c.heat >= 0 && (
          <Select
            label="Temperature in"
            value={c.celsius ? "C" : "F"}
            options={[
              ["C", "°C"],
              ["F", "°F"],
            ]}
            onChange={(e) => setC({ ...c, celsius: e.target.value === "C" })}
          />
        )}
      </div>
      <Button className="mt-2" onClick={() => onChosen({ ...c, unit: c.unit ?? "SECONDS" })}>
        Read it so
      </Button>
    </details>
  );
}
