import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { TriangleAlert } from "lucide-react";
import { danger } from "../../api/queries";
import { sinceText } from "./steps";

/** On every device of the team, while any valve has nothing but its hold. */
export function DangerBanner() {
  const query = useQuery(danger());
  const all = query.data ?? [];
  if (all.length === 0) return null;
  return (
    <div role="alert" className="sticky top-0 z-20 grid">
      {all.map((d) => (
        <Link
          key={d.jobId + d.valve}
          to="/jobs/$id"
          params={{ id: d.jobId }}
          className={`flex min-h-12 flex-wrap items-center gap-x-4 border-b-4 px-3 py-1 text-lg font-bold no-underline ${
            d.harder ? "border-tight bg-tight text-ground" : "border-tight bg-plate text-ink"
          }`}
        >
          <TriangleAlert aria-hidden className="size-6 shrink-0" />
          <span>
            {d.placeName} {d.valve} is unhooked, {d.lost ? "its hold is LOST" : `held by ${d.heldBy}`}{" "}
            {sinceText(d.since, query.dataUpdatedAt)}
          </span>
          <span className="font-semibold">
            {d.harder && !d.lost ? "too long: finish this valve now" : "nobody bars, nobody lets the hold go"}
          </span>
        </Link>
      ))}
    </div>
  );
}
