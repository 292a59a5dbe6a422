import type { Schemas } from "../../api/client";
import type { Said } from "./boxes";

/** A missing box is only reproached once keeping was tried; anything wrong is said at once. */
export function saidOf(
  problems: Schemas["Problem"][],
  unreadable: { field: string; message: string }[],
  tried: boolean,
): Said {
  const said: Said = { errors: {}, asks: {} };
  for (const p of problems) {
    if (p.weight === "ASKED") said.asks[p.field] ??= p.message;
    else if (tried || p.weight !== "MISSING") said.errors[p.field] ??= p.message;
  }
  for (const u of unreadable) said.errors[u.field] = u.message;
  return said;
}
