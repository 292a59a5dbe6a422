import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Notice } from "../../ui/Notice";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit, loadText, loadUnit } from "../../units/load";
import { say } from "../../words/said";

const WEIGHT = { KNOW: "know", ASK: "ask", STOP: "stop" } as const;

interface PocketRemarksProps {
  fit: Schemas["Fit"];
  links: Schemas["Link"][];
}

/** What is not as it should be in a pocket, and the part that carries least. */
export function PocketRemarks({ fit, links }: PocketRemarksProps) {
  const { unit } = useSettings();
  const weakest = links[0];
  return (
    <>
      {weakest && (
        <p className={weakest.used > 1 ? "font-semibold text-tight" : "text-muted"}>
          {weakest.used > 1 ? "✕ " : ""}Weakest link: {weakest.part.toLowerCase()} at{" "}
          {Math.round(100 * weakest.used)} %, {against(weakest, unit)}
        </p>
      )}
      {fit.remarks.map((r) => (
        <Notice key={r.said.code} tone={WEIGHT[r.weight]}>
          {say(r.said, unit)}
        </Notice>
      ))}
    </>
  );
}

/** What is asked of a part against what it is good for. */
function against({ of, duty, limit }: Schemas["Link"], unit: LashUnit): string {
  if (of === "OPEN_LOAD_LBF")
    return `${loadText(duty, unit, 0)} of ${loadText(limit, unit, 0)} ${loadUnit(unit)} open`;
  if (of === "LIFT_IN")
    return `${heightText(duty, unit)} of ${heightText(limit, unit)} ${heightUnit(unit)} lift`;
  return `${duty.toFixed(0)} of ${limit.toFixed(0)} rpm`;
}
