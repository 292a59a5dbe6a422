import { CircleHelp, Info, OctagonX, TriangleAlert } from "lucide-react";
import type { ReactNode } from "react";

type Tone = "know" | "ask" | "care" | "stop";

const TONES: Record<Tone, { icon: typeof Info; edge: string; role: "status" | "alert" }> = {
  know: { icon: Info, edge: "border-l-line", role: "status" },
  ask: { icon: CircleHelp, edge: "border-l-wide", role: "status" },
  care: { icon: TriangleAlert, edge: "border-l-accent", role: "status" },
  stop: { icon: OctagonX, edge: "border-l-tight", role: "alert" },
};

/** A sentence that must be seen; the icon tells its weight before the colour does. */
export function Notice({ tone, children }: { tone: Tone; children: ReactNode }) {
  const { icon: Icon, edge, role } = TONES[tone];
  return (
    <div role={role} className={`scribed flex items-start gap-3 border-l-4 px-3 py-2 ${edge}`}>
      <Icon aria-hidden className="mt-0.5 size-5 shrink-0" />
      <div className="min-w-0">{children}</div>
    </div>
  );
}
