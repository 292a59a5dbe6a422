import { Link } from "@tanstack/react-router";
import { CloudUpload } from "lucide-react";
import { late, useWaiting } from "./useOutbox";

/** On every page: how much waits on this device, once sending has failed. */
export function WaitingBadge() {
  const all = useWaiting();
  const kept = late(all);
  if (kept.length === 0) return null;
  const held = kept.some((p) => p.held);
  return (
    <Link
      to="/waiting"
      className={`flex min-h-11 items-center gap-2 rounded border px-3 font-semibold no-underline ${
        held ? "border-tight text-tight" : "border-accent text-accent"
      }`}
    >
      <CloudUpload aria-hidden className="size-5" />
      {all.length} {held ? "not taken" : all.length === 1 ? "waits here" : "wait here"}
    </Link>
  );
}
