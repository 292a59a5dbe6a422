import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { jobs as jobsQuery, openItems } from "../../api/queries";
import { nth } from "../../ui/nth";

/** What of spring changes stands open on an engine, in one line; nothing where nothing does. */
export function OpenLine({ engineId }: { engineId: string }) {
  const job = useQuery(jobsQuery(engineId)).data?.find((j) => !j.endedAt);
  const items = (useQuery(openItems(engineId)).data ?? []).filter((i) => !i.closedAt);
  if (job)
    return (
      <Link
        to="/jobs/$id"
        params={{ id: job.id }}
        className="flex min-h-11 items-center border-t border-hair pt-2 font-semibold no-underline hover:underline"
      >
        {job.parked ? `Job parked: ${job.parked}` : `Job open: ${job.valves.join(" ")}`}
      </Link>
    );
  if (items.length === 0) return null;
  return (
    <Link
      to="/engines/$id"
      params={{ id: engineId }}
      className="flex min-h-11 items-center border-t border-hair pt-2 font-semibold no-underline hover:underline"
    >
      Open: {nth(items, 0).words}
      {items.length > 1 && `, and ${items.length - 1} more`}
    </Link>
  );
}
