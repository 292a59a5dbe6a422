import { Button } from "../ui/Button";
import { Notice } from "../ui/Notice";
import { discard, tryAgain } from "./outbox";
import type { Parcel } from "./parcel";
import { wordsFor } from "./words";

/** What Shim did not take: why, and what a person may do about it. */
export function HeldParcels({ parcels }: { parcels: readonly Parcel[] }) {
  return parcels
    .filter((p) => p.held)
    .map((p) => (
      <Notice key={p.key} tone="stop">
        <p>
          <strong>{wordsFor(p)}</strong> is not taken: {p.last?.words}
        </p>
        <div className="mt-2 flex flex-wrap gap-2">
          <Button onClick={() => tryAgain(p.key)}>Send it again</Button>
          <Button onClick={() => discard(p.key)}>Discard it</Button>
        </div>
      </Notice>
    ));
}
