import { Link } from "@tanstack/react-router";
import { Notice } from "../ui/Notice";
import type { Parcel } from "./parcel";
import { late } from "./useOutbox";

interface KeptHereProps {
  parcels: readonly Parcel[];
  /** What they are called: figure, reading, finding, step. */
  of: string;
}

/** What Shim has not taken yet, and why, as soon as sending it has failed once. */
export function KeptHere({ parcels, of }: KeptHereProps) {
  const kept = late(parcels);
  if (kept.length === 0) return null;
  const held = kept.filter((p) => p.held).length;
  const why = kept.at(-1)?.last?.words;
  return (
    <div className="basis-full">
      <Notice tone={held > 0 ? "stop" : "care"}>
        {parcels.length} {parcels.length === 1 ? `${of} is` : `${of}s are`} kept on this device
        {held > 0 ? `, ${held} of them not taken` : ""}: {why}{" "}
        {held > 0 ? "" : "Go on; they are sent as soon as that can be. "}
        <Link to="/waiting">What waits</Link>
      </Notice>
    </div>
  );
}
