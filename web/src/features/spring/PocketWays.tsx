import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { heightText, heightUnit, loadText, loadUnit } from "../../units/load";
import { wayText } from "../../words/adjust";

interface PocketWaysProps {
  pocket: Schemas["PocketView"];
  picked: number;
  onPick: (i: number) => void;
}

/** Ways to the wanted height, the best first, each with what the spring does there. */
export function PocketWays({ pocket, picked, onPick }: PocketWaysProps) {
  const { unit } = useSettings();
  const heads = [
    heightUnit(unit),
    `closed, ${loadUnit(unit)}`,
    `open, ${loadUnit(unit)}`,
    `to bind, ${heightUnit(unit)}`,
  ];
  return (
    <table className="w-full text-left" aria-label="Ways to the wanted height">
      <thead>
        <tr className="text-sm text-muted">
          <th>Out of tolerance. Ways, best first, one drawn</th>
          {heads.map((h) => (
            <th key={h} className="pl-4 text-right whitespace-nowrap">
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {pocket.ways.map(({ way, fit }, i) => (
          <tr key={wayText(way, unit)} className={`border-t border-hair ${i === picked ? "bg-raised" : ""}`}>
            <td>
              <button
                type="button"
                aria-pressed={i === picked}
                onClick={() => onPick(i)}
                className={`min-h-11 text-left underline ${i === picked ? "font-semibold" : ""}`}
              >
                {wayText(way, unit)}
              </button>
            </td>
            {[
              heightText(way.heightIn, unit),
              loadText(fit.seatLbf, unit, 0),
              loadText(fit.openLbf, unit, 0),
              heightText(fit.bindClearanceIn, unit),
            ].map((figure, k) => (
              <td key={heads[k]} className="num pl-4 text-right text-lg">
                {figure}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
