import { Link } from "@tanstack/react-router";
import { Notice } from "../ui/Notice";
import type { Parcel } from "./parcel";
import { late } from "./useOutbox";

interface KeptHereProps {
  parcels: readonly Parcel[];
  /** What they are called: figure, reading, finding, step. */
  of: string;
  /** The work waits for Shim's answer, as a walk does. */
  waits?: boolean;
}

/** What Shim has not taken yet, and why, as soon as sending it has failed once. */
export function KeptHere({ parcels, of, waits = false }: KeptHereProps) {
  const kept = late(parcels);
  if (kept.length === 0) return null;
  const held = kept.filter((p) => p.held).length;
  const why = kept.at(-1)?.last?.words;
  const it = parcels.length === 1 ? "it is" : "they are";
  const meanwhile = waits
    ? `${it} sent as soon as Shim answers, and the walk goes on then. `
    : `Go on; ${it} sent as soon as Shim answers. `;
  return (
    <div className="basis-full">
      <Notice tone={held > 0 ? "stop" : "care"}>
        {parcels.length} {parcels.length === 1 ? `${of} is` : `${of}s are`} kept on this device
        {held > 0 ? `, ${held} of them not taken` : ""}: {why} {held > 0 ? "" : meanwhile}
        <Link to="/waiting">What waits</Link>
      </Notice>
    </div>
  );
}
