import { Link } from "@tanstack/react-router";
import type { Head } from "./measures";

/** The name of some heads, as the way back to their page. */
export function HeadName({ head }: { head: Head }) {
  return (
    <Link to="/heads/$id" params={{ id: head.id }} className="no-underline hover:underline">
      {head.sheet.name}
    </Link>
  );
}
