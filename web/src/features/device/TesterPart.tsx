import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { answered, api, type Schemas } from "../../api/client";
import { tester as testerQuery } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { loadText } from "../../units/load";
import { ConnectSheet } from "./ConnectSheet";

/** A poll that was on its way while the tester was moved may still bring the place before, ms. */
const ON_ITS_WAY = 300;

/**
 * The connected tester; it is told where it stands, so that it starts afresh there. Until it has
 * answered from its new place nothing is steady: a second press must not take the spring before.
 */
export function useTester(place: string | undefined, heightIn: number) {
  const query = useQuery(testerQuery(true));
  const connected = query.data?.connected ?? false;
  const [placedAt, setPlacedAt] = useState(Number.POSITIVE_INFINITY);
  useEffect(() => {
    if (!connected || !place) return;
    setPlacedAt(Number.POSITIVE_INFINITY);
    void api
      .PUT("/api/tester/place", { body: { place, heightIn } })
      .catch(() => undefined)
      .finally(() => setPlacedAt(Date.now()));
  }, [connected, place, heightIn]);
  const here = query.dataUpdatedAt > placedAt + ON_ITS_WAY;
  return query.data && { ...query.data, steady: query.data.steady && here };
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
