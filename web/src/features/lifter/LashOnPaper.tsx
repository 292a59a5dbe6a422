import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { thouText, unitName } from "../../units/lash";
import { worthText } from "../../words/said";
import { signed } from "./lifterFaces";

/** How paper would have a valve's lash, and what one more reading would be worth. */
export function LashOnPaper({ drift: { onPaper, decides } }: { drift: Schemas["ValveDriftView"] }) {
  const { unit } = useSettings();
  return (
    <p className="text-muted">
      {onPaper && (
        <>
          On paper: found {thouText(onPaper.foundThou, unit)}, {thouText(onPaper.lastThou, unit)} as left last
          time: {signed(onPaper.movedThou, unit)} {unitName(unit)}.{" "}
        </>
      )}
      {worthText(decides)}.
    </p>
  );
}
