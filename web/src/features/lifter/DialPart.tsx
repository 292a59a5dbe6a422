import { useRef, useState } from "react";
import { ApiProblem, answered, api, type Valve } from "../../api/client";
import { buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";

interface DialPartProps {
  valve: Valve;
  onTake: (liftIn: number) => void;
}

/** A measured lift table in place of one reading: a file of degrees and dial readings. */
export function DialPart({ valve, onTake }: DialPartProps) {
  const file = useRef<HTMLInputElement>(null);
  const [trouble, setTrouble] = useState<string>();
  const read = async (table: File) => {
    setTrouble(undefined);
    try {
      const found = await answered(
        api.POST("/api/calc/lift-table", {
          body: await table.text(),
          bodySerializer: (b) => b,
          headers: { "Content-Type": "text/plain" },
        }),
      );
      onTake(found.liftIn);
    } catch (e) {
      setTrouble(e instanceof ApiProblem ? (e.errors[0]?.message ?? e.message) : "this file cannot be read");
    }
  };
  return (
    <div className="grid content-start gap-2">
      <label className={buttonClass()}>
        Lift table of {valve} (CSV)
        <input
          ref={file}
          type="file"
          accept=".csv,text/csv,text/plain"
          className="sr-only"
          onChange={(e) => {
            const table = e.target.files?.[0];
            if (table) void read(table);
          }}
        />
      </label>
      <p className="text-sm text-muted">Degrees and dial reading, a line each; its lift is taken.</p>
      {trouble && <Notice tone="stop">{trouble}</Notice>}
    </div>
  );
}
