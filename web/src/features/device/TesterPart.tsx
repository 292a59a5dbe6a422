import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answered, api, type Schemas } from "../../api/client";
import { tester as testerQuery } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { loadText } from "../../units/load";
import { ConnectSheet } from "./ConnectSheet";
import { usePlaced } from "./usePlaced";

/** The connected tester, standing at a place and a height. */
export function useTester(place: string | undefined, heightIn: number) {
  const at = place && `${place} ${heightIn}`;
  return usePlaced(useQuery(testerQuery(true)), at, () =>
    api.PUT("/api/tester/place", { body: { place: place ?? "", heightIn } }),
  );
}

interface LivePartProps {
  now: Schemas["TesterNow"] | undefined;
  onTake: (lbf: number) => void;
}

/** Its needle, and the one key that takes it. */
export function LivePart({ now, onTake }: LivePartProps) {
  const { unit } = useSettings();
  const [asking, setAsking] = useState(false);
  const queries = useQueryClient();
  if (!now) return null;
  return (
    <div className="grid gap-2">
      {now.trouble && <Notice tone="stop">{now.trouble}</Notice>}
      {now.connected ? (
        <div className="flex flex-wrap items-center gap-3">
          <span
            className={`num min-w-28 text-right text-5xl ${now.steady ? "text-ok" : "text-muted"}`}
            role="status"
            aria-label={`Tester shows ${loadText(now.loadLbf, unit)}, ${now.steady ? "steady" : "moving"}`}
          >
            {loadText(now.loadLbf, unit)}
          </span>
          <span className="w-20 text-sm text-muted">{now.steady ? "steady" : "moving …"}</span>
          <Button
            look={now.steady ? "now" : "plain"}
            disabled={!now.steady}
            onClick={() => onTake(now.loadLbf)}
          >
            Take it (T)
          </Button>
          <span className="text-sm text-muted">{now.name}</span>
        </div>
      ) : (
        <Button look="quiet" className="justify-self-start" onClick={() => setAsking(true)}>
          Connect a tester
        </Button>
      )}
      {asking && (
        <ConnectSheet
          noun="tester"
          suggested={now.suggested}
          serialPorts={now.serialPorts}
          connect={(to) => answered(api.PUT("/api/tester", { body: to }))}
          onConnected={(t) => queries.setQueryData(testerQuery(true).queryKey, t)}
          onClose={() => setAsking(false)}
        />
      )}
    </div>
  );
}
