import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas, type Valve, wordsOf } from "../../api/client";
import { dial as dialQuery } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { heightText, heightUnit } from "../../units/load";
import { Needle } from "../device/Needle";
import { usePlaced } from "../device/usePlaced";
import { foundText } from "./foundText";

/** The dial, standing on a valve. */
export function useDial(valve: Valve | undefined) {
  return usePlaced(useQuery(dialQuery(valve !== undefined)), valve, () =>
    api.PUT("/api/dial/place", { body: { place: valve ?? "" } }),
  );
}

interface DialPartProps {
  valve: Valve;
  now: ReturnType<typeof useDial>;
  onTake: (liftIn: number) => void;
}

/** A dial's needle with the one key that takes it, or a measured lift table as a file. */
export function DialPart({ valve, now, onTake }: DialPartProps) {
  const { unit } = useSettings();
  const queries = useQueryClient();
  return (
    <div className="grid content-start gap-2" data-own-keys>
      <Needle
        noun="dial"
        now={now}
        text={heightText(now?.liftIn, unit)}
        unit={heightUnit(unit)}
        onTake={() => now && onTake(now.liftIn)}
        connect={(to) => answered(api.PUT("/api/dial", { body: to }))}
        onConnected={(d) => queries.setQueryData(dialQuery(true).queryKey, d)}
      />
      <div className="flex flex-wrap gap-2">
        <TableFile key={valve} valve={valve} onTake={onTake} />
      </div>
    </div>
  );
}

function TableFile({ valve, onTake }: Pick<DialPartProps, "valve" | "onTake">) {
  const { unit } = useSettings();
  const [trouble, setTrouble] = useState<string>();
  const [found, setFound] = useState<Schemas["LiftFound"]>();
  const read = async (table: File) => {
    setTrouble(undefined);
    setFound(undefined);
    try {
      const found = await answered(
        api.POST("/api/calc/lift-table", {
          body: await table.text(),
          bodySerializer: (b) => b,
          headers: { "Content-Type": "text/plain" },
        }),
      );
      setFound(found);
      onTake(found.liftIn);
    } catch (e) {
      setTrouble(e instanceof ApiProblem ? wordsOf(e) : "this file cannot be read");
    }
  };
  return (
    <>
      <label className={buttonClass()} title="degrees and dial reading, a line each">
        Lift table of {valve} (CSV)
        <input
          type="file"
          accept=".csv,text/csv,text/plain"
          className="sr-only"
          onChange={(e) => {
            const table = e.target.files?.[0];
            if (table) void read(table);
          }}
        />
      </label>
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      {found && <Notice tone="know">{foundText(found, unit)}</Notice>}
    </>
  );
}
