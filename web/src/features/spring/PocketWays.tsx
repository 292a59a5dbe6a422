import { useState } from "react";
import { useSettings } from "../../shell/settings";
import { heightText, heightUnit, loadText, loadUnit } from "../../units/load";
import { LoadDrawing } from "./LoadDrawing";
import type { Pocket } from "./PocketsPage";

/** Ways to the wanted height, the best first, each with what the spring does there, drawn. */
export function PocketWays({ pocket }: { pocket: Pocket }) {
  const { unit } = useSettings();
  const [picked, setPicked] = useState(0);
  const way = pocket.ways[Math.min(picked, pocket.ways.length - 1)];
  return (
    <section className="grid gap-3 min-[760px]:grid-cols-2" aria-label="Ways to the wanted height">
      <table className="w-full self-start text-left">
        <thead>
          <tr className="text-sm text-muted">
            <th>Out of tolerance. Ways, best first</th>
            <th className="text-right">{heightUnit(unit)}</th>
            <th className="text-right">closed</th>
            <th className="text-right">open</th>
            <th className="text-right">to bind</th>
          </tr>
        </thead>
        <tbody>
          {pocket.ways.map(({ way: w, fit }, i) => (
            <tr key={w.words} className={`border-t border-hair ${i === picked ? "bg-raised" : ""}`}>
              <td>
                <button
                  type="button"
                  aria-pressed={i === picked}
                  onClick={() => setPicked(i)}
                  className="min-h-11 text-left underline"
                >
                  {w.words}
                </button>
              </td>
              <td className="num text-right text-lg">{heightText(w.heightIn, unit)}</td>
              <td className="num text-right text-lg">{loadText(fit.seatLbf, unit, 0)}</td>
              <td className="num text-right text-lg">{loadText(fit.openLbf, unit, 0)}</td>
              <td className="num text-right text-lg">{heightText(fit.bindClearanceIn, unit)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div>
        <p className="text-sm text-muted">
          Dashed: {way.way.words}. Loads in {loadUnit(unit)}.
        </p>
        <LoadDrawing
          height={200}
          springs={[
            { name: "as measured", curve: pocket.curve, fit: pocket.fit, liftIn: pocket.liftIn, main: true },
            { name: way.way.words, curve: pocket.curve, fit: way.fit, liftIn: pocket.liftIn },
          ]}
        />
      </div>
    </section>
  );
}
