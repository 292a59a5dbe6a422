import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Part } from "./CamFrame";
import { degText, gapText, lateText } from "./camWords";

interface CorrectionsProps {
  degree: Schemas["DegreeView"];
  marked: "CRANK" | "CAM";
}

/** What the drive offers, the nearest to what is wanted first, with what each gives. */
export function Corrections({ degree, marked }: CorrectionsProps) {
  const { unit } = useSettings();
  const gaps = degree.corrections.some((c) => c.leastIntakeIn !== undefined);
  const step = (mark: number) =>
    mark === 0 ? "as it is" : `${Math.abs(mark)} ${mark > 0 ? "advanced" : "retarded"}`;
  return (
    <Part title="What the drive can do">
      <div className="overflow-x-auto">
        <table className="w-full">
          <thead>
            <tr className="text-left text-sm text-muted">
              <th>{marked === "CAM" ? "mark, cam degrees" : "mark"}</th>
              <th>then</th>
              <th>ICL</th>
              <th>IVC</th>
              <th>EVO</th>
              {gaps && <th>least gap I</th>}
              {gaps && <th>least gap E</th>}
            </tr>
          </thead>
          <tbody className="num text-lg">
            {degree.corrections.slice(0, 7).map((c, i) => (
              <tr key={c.mark} className={`border-t border-hair ${i === 0 ? "font-bold" : ""}`}>
                <td>
                  {step(c.mark)}
                  {marked === "CAM" && c.mark !== 0 && (
                    <span className="text-muted"> = {degText(c.crankDeg)} crank</span>
                  )}
                </td>
                <td>{lateText(c.offDeg)}</td>
                <td>{degText(c.iclDeg)}</td>
                <td>{degText(c.timing.ivcAbdcDeg)}</td>
                <td>{degText(c.timing.evoBbdcDeg)}</td>
                {gaps && <td>{gapText(c.leastIntakeIn, unit)}</td>}
                {gaps && <td>{gapText(c.leastExhaustIn, unit)}</td>}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="text-sm text-muted">
        Retarding moves power up the rev range, advancing down. What the drive offers is set under Set-up, Cam
        bench.
      </p>
    </Part>
  );
}
