import { Link } from "@tanstack/react-router";
import type { Schemas } from "../../api/client";
import { type Mark, MarkIcon, type SpringVerdict } from "../../plan/verdict";

interface SpringsLineProps {
  engineId: string;
  known: Schemas["EngineSprings"];
}

/** The springs in one line: who must go, who is watched, or that all may run. */
export function SpringsLine({ engineId, known }: SpringsLineProps) {
  if (known.springs.length === 0) return null;
  const of = (v: SpringVerdict) => known.springs.filter((s) => s.said.verdict === v).map((s) => s.position);
  const change = of("CHANGE");
  const again = known.springs.filter((s) => s.said.waits).map((s) => s.position);
  const watch = of("WATCH").filter((p) => !again.includes(p));
  const worst: Mark =
    change.length > 0
      ? "CHANGE"
      : again.length > 0
        ? "AGAIN"
        : watch.length > 0
          ? "WATCH"
          : of("NOT_TESTED").length > 0
            ? "NOT_TESTED"
            : "RUN";
  const untested = of("NOT_TESTED");
  const tested = untested.length < known.springs.length;
  const words =
    [
      change.length > 0 && `change ${change.join(" ")}`,
      again.length > 0 && `read again ${again.join(" ")}`,
      watch.length > 0 && `watch ${watch.join(" ")}`,
      untested.length > 0 && (tested ? `not tested ${untested.join(" ")}` : "not tested yet"),
    ]
      .filter(Boolean)
      .join(", ") || "all good to the end of the next event";
  return (
    <Link
      to="/engines/$id/springs"
      params={{ id: engineId }}
      className="flex min-h-11 w-full basis-full items-center gap-2 border-t border-hair pt-2 text-lg font-semibold no-underline hover:underline"
    >
      <MarkIcon mark={worst} size={24} />
      Springs: {words}
    </Link>
  );
}
