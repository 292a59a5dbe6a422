import type { Schemas } from "../../api/client";
import { Notice } from "../../ui/Notice";

const WEIGHT = { KNOW: "know", ASK: "ask", STOP: "stop" } as const;

interface PocketRemarksProps {
  fit: Schemas["Fit"];
  links: Schemas["Link"][];
}

/** What is not as it should be in a pocket, and the part that carries least. */
export function PocketRemarks({ fit, links }: PocketRemarksProps) {
  const weakest = links[0];
  return (
    <>
      {weakest && (
        <p className={weakest.used > 1 ? "font-semibold text-tight" : "text-muted"}>
          {weakest.used > 1 ? "✕ " : ""}Weakest link: {weakest.part.toLowerCase()} at{" "}
          {Math.round(100 * weakest.used)} % of its {weakest.of}
        </p>
      )}
      {fit.remarks.map((r) => (
        <Notice key={r.words} tone={WEIGHT[r.weight]}>
          {r.words}
        </Notice>
      ))}
    </>
  );
}
