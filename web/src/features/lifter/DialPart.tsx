import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { ApiProblem, answered, api, type Valve } from "../../api/client";
import { dial as dialQuery } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { heightText, heightUnit } from "../../units/load";
import { ConnectSheet } from "../device/ConnectSheet";

/** A poll that was on its way while the dial was moved may still bring the valve before, ms. */
const ON_ITS_WAY = 300;

/** The dial as it stands on this valve; nothing is steady until it has answered from here. */
export function useDial(valve: Valve | undefined) {
  const query = useQuery(dialQuery(valve !== undefined));
  const connected = query.data?.connected ?? false;
  const [placedAt, setPlacedAt] = useState(Number.POSITIVE_INFINITY);
  useEffect(() => {
    if (!connected || !valve) return;
    setPlacedAt(Number.POSITIVE_INFINITY);
    void api
      .PUT("/api/dial/place", { body: { place: valve } })
      .catch(() => undefined)
      .finally(() => setPlacedAt(Date.now()));
  }, [connected, valve]);
  const here = query.dataUpdatedAt > placedAt + ON_ITS_WAY;
  return query.data && { ...query.data, steady: query.data.steady && here };
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
  const [asking, setAsking] = useState(false);
  return (
    <div className="grid content-start gap-2" data-own-keys>
      {now?.trouble && <Notice tone="stop">{now.trouble}</Notice>}
      {now?.connected && (
        <div className="flex flex-wrap items-center gap-3">
          <span
            className={`num min-w-36 text-right text-5xl ${now.steady ? "text-ok" : "text-muted"}`}
            role="status"
            aria-label={`Dial shows ${heightText(now.liftIn, unit)}, ${now.steady ? "steady" : "moving"}`}
          >
            {heightText(now.liftIn, unit)}
          </span>
          <span className="w-24 text-sm text-muted">
            {heightUnit(unit)} {now.steady ? "steady" : "moving …"}
          </span>
          <Button
            look={now.steady ? "now" : "plain"}
            disabled={!now.steady}
            onClick={() => onTake(now.liftIn)}
          >
            Take it (T)
          </Button>
        </div>
      )}
      <div className="flex flex-wrap gap-2">
        {now && !now.connected && <Button onClick={() => setAsking(true)}>Connect a dial</Button>}
        <TableFile valve={valve} onTake={onTake} />
      </div>
      {asking && now && (
        <ConnectSheet
          noun="dial"
          suggested={now.suggested}
          serialPorts={now.serialPorts}
          connect={(to) => answered(api.PUT("/api/dial", { body: to }))}
          onConnected={(d) => queries.setQueryData(dialQuery(true).queryKey, d)}
          onClose={() => setAsking(false)}
        />
      )}
    </div>
  );
}

function TableFile({ valve, onTake }: Pick<DialPartProps, "valve" | "onTake">) {
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
    </>
  );
}
