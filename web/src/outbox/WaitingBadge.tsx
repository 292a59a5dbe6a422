import { Link } from "@tanstack/react-router";
import { CloudUpload } from "lucide-react";
import { late, useWaiting } from "./useOutbox";

/** On every page: how much waits on this device, once sending has failed. */
export function WaitingBadge() {
  const all = useWaiting();
  const kept = late(all);
  if (kept.length === 0) return null;
  const held = kept.filter((p) => p.held).length;
  return (
    <Link
      to="/waiting"
      className={`flex min-h-11 items-center gap-2 rounded border px-3 font-semibold no-underline ${
        held > 0 ? "border-tight text-tight" : "border-accent text-accent"
      }`}
    >
      <CloudUpload aria-hidden className="size-5" />
      {held > 0 ? `${held} not taken` : `${all.length} ${all.length === 1 ? "waits" : "wait"} here`}
    </Link>
  );
}
