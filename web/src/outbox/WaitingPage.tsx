import { Link } from "@tanstack/react-router";
import { Clock3, OctagonX } from "lucide-react";
import { useState } from "react";
import { Button, buttonClass } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { handOver, readHandedOver } from "./handOver";
import { discard, kick, takeOver, tryAgain } from "./outbox";
import type { Parcel } from "./parcel";
import { damaged, forgetDamaged } from "./store";
import { useEngineName } from "./useEngineName";
import { useWaiting } from "./useOutbox";
import { homeOf, wordsFor } from "./words";

/** All that waits on this device, in the order it was entered: sent again, handed over, or discarded. */
export function WaitingPage() {
  const all = useWaiting();
  const [trouble, setTrouble] = useState<string>();
  const [bad, setBad] = useState(damaged);
  const take = (file: File | undefined) =>
    file
      ?.text()
      .then((text) => takeOver(readHandedOver(text)))
      .then(() => setTrouble(undefined))
      .catch((e: Error) => setTrouble(e.message));
  return (
    <div className="mx-auto grid w-full max-w-4xl gap-4 p-4">
      <h1 className="text-2xl">What waits on this device</h1>
      {all.length === 0 ? (
        <p className="text-muted">Nothing: all that was entered here is with Shim.</p>
      ) : (
        <ul className="grid gap-2" aria-label="What waits">
          {all.map((p) => (
            <Row key={p.key} parcel={p} />
          ))}
        </ul>
      )}
      <div className="flex flex-wrap gap-2">
        {all.length > 0 && (
          <>
            <Button look="now" onClick={kick}>
              Send now
            </Button>
            <Button onClick={() => handOver(all)}>Hand over as a file</Button>
          </>
        )}
        <label className={buttonClass()}>
          Take over a file
          <input
            type="file"
            accept="application/json"
            className="sr-only"
            onChange={(e) => void take(e.target.files?.[0])}
          />
        </label>
      </div>
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      {bad !== "" && (
        <Notice tone="care">
          <p>
            Something that was kept on this device could not be read. It is set aside as it was found; the
            rest goes on.
          </p>
          <textarea
            readOnly
            aria-label="What was set aside"
            value={bad}
            className="num mt-2 h-32 w-full rounded border border-hair bg-raised p-2 text-sm"
          />
          <Button
            onClick={() => {
              forgetDamaged();
              setBad("");
            }}
          >
            Discard it
          </Button>
        </Notice>
      )}
    </div>
  );
}

function Row({ parcel }: { parcel: Parcel }) {
  const home = homeOf(parcel);
  const engine = useEngineName(parcel);
  const Icon = parcel.held ? OctagonX : Clock3;
  return (
    <li className="scribed flex flex-wrap items-center gap-x-4 gap-y-2 rounded p-3">
      <Icon aria-hidden className={`size-6 ${parcel.held ? "text-tight" : "text-muted"}`} />
      <div className="min-w-56 flex-1">
        <p className="text-xl font-semibold">{wordsFor(parcel)}</p>
        <p className="text-muted">
          {engine && `${engine}, `}entered {new Date(parcel.at).toLocaleTimeString()}
          {parcel.last
            ? `; ${parcel.held ? "not taken" : "waits"}: ${parcel.last.words}`
            : parcel.tried > 0
              ? "; on its way"
              : "; waits for what was entered before it"}
        </p>
      </div>
      <Link
        to={home.to as "/rounds/$id"}
        params={home.params as { id: string }}
        search={{ valve: home.valve }}
        className={buttonClass("quiet")}
      >
        Go there
      </Link>
      {parcel.held && <Button onClick={() => tryAgain(parcel.key)}>Send it again</Button>}
      <Button onClick={() => discard(parcel.key)}>Discard</Button>
    </li>
  );
}
