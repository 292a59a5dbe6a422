import type { Schemas } from "../../api/client";

type Level = Schemas["SeenView"]["level"];

/** How bad a finding is: a shape first, then a colour. */
export const LEVELS: Record<Level, { shape: string; word: string; tone: string }> = {
  GOOD: { shape: "○", word: "good", tone: "text-ok" },
  WORN: { shape: "◐", word: "worn", tone: "text-wide" },
  BAD: { shape: "●", word: "bad", tone: "text-tight" },
};
