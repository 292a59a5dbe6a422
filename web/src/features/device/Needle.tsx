import { useState } from "react";
import type { Schemas } from "../../api/client";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { ConnectSheet } from "./ConnectSheet";

interface NeedleProps<T> {
  /** What it is called: dial, encoder. */
  noun: string;
  now:
    | (T & {
        connected: boolean;
        steady: boolean;
        trouble?: string;
        suggested?: string;
        serialPorts: string[];
      })
    | undefined;
  /** Its figure as a person reads it, and the name of its unit. */
  text: string;
  unit: string;
  onTake: () => void;
  /** Whose reading it is has not been said: nothing is taken until it is. */
  nobody?: boolean;
  connect: (to: Schemas["Connection"]) => Promise<T>;
  onConnected: (now: T) => void;
}

/** The needle of a connected instrument with the one press that takes it; or a way to connect one. */
export function Needle<T>({
  noun,
  now,
  text,
  unit,
  onTake,
  connect,
  onConnected,
  nobody = false,
}: NeedleProps<T>) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      {now?.trouble && <Notice tone="stop">{now.trouble}</Notice>}
      {now?.connected && (
        <div className="flex flex-wrap items-center gap-3">
          <span
            className={`num min-w-36 text-right text-5xl ${now.steady ? "text-ok" : "text-muted"}`}
            role="status"
            aria-label={`${noun.replace(/^./, (c) => c.toUpperCase())} shows ${text}, ${now.steady ? "steady" : "moving"}`}
          >
            {text}
          </span>
          <span className="w-24 text-sm text-muted">
            {unit} {now.steady ? "steady" : "moving …"}
          </span>
          <Button look={now.steady ? "now" : "plain"} disabled={!now.steady || nobody} onClick={onTake}>
            Take it (T)
          </Button>
          {nobody && <span className="text-muted">write your initials first</span>}
        </div>
      )}
      {now && !now.connected && (
        <div>
          <Button onClick={() => setAsking(true)}>
            Connect {/^[aeiou]/.test(noun) ? "an" : "a"} {noun}
          </Button>
        </div>
      )}
      {asking && now && (
        <ConnectSheet
          noun={noun}
          suggested={now.suggested}
          serialPorts={now.serialPorts}
          connect={connect}
          onConnected={onConnected}
          onClose={() => setAsking(false)}
        />
      )}
    </>
  );
}
