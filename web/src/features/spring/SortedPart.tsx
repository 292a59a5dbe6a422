import type { Schemas } from "../../api/client";
import { ValvePlan } from "../../plan/ValvePlan";
import { useSettings } from "../../shell/settings";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit, loadText, loadUnit } from "../../units/load";

const PLAY: Partial<Record<NonNullable<Schemas["Placed"]["play"]>, string>> = {
  WIDER: "wider than its pocket",
  SNUG: "too snug in its pocket",
  WRONG: "far too much play: another part, or a wrong reading",
};

/** Why a spring does not fit where it would stand; a cut is an offer, never reckoned with. */
export function whyNot(p: Schemas["Placed"], unit: LashUnit): string {
  const away = `${heightText(Math.abs(p.offIn), unit)} ${heightUnit(unit)}`;
  const height =
    p.cutIn > 0
      ? `${away} too short; machining ${heightText(p.cutIn, unit)} off the pocket would mend it`
      : `${away} ${p.offIn > 0 ? "too tall" : "too short"} with the shims to hand`;
  const play = p.play && PLAY[p.play];
  return play ? play : height;
}

interface SortedProps {
  layout: Schemas["LayoutView"];
  sorted: Schemas["SpringSort"];
}

export function Sorted({ layout, sorted }: SortedProps) {
  const { unit } = useSettings();
  const { chosen, asTheyCame } = sorted;
  const rows: [string, string, string][] = [
    [
      `Seat loads differ, s.d. ${loadUnit(unit)}`,
      loadText(chosen.unevenLbf, unit),
      loadText(asTheyCame.unevenLbf, unit),
    ],
    ["Shims", String(chosen.shims), String(asTheyCame.shims)],
    ["Do not fit", String(chosen.misfits), String(asTheyCame.misfits)],
  ];
  return (
    <section className="scribed grid gap-3 rounded p-4" aria-label="Best places">
      <div className="grid items-start gap-4 min-[760px]:grid-cols-2">
        <ValvePlan
          layout={layout}
          faces={Object.fromEntries(
            chosen.placed.map((p) => [p.position, { text: p.mark, mark: p.fits ? "IN" : "CHANGE" }]),
          )}
          label="Which spring goes where"
          className="h-96 w-full"
        />
        <div className="grid gap-3">
          <table className="text-left">
            <thead>
              <tr className="text-sm text-muted">
                <td />
                <th className="text-right">sorted</th>
                <th className="text-right">as they came</th>
              </tr>
            </thead>
            <tbody>
              {rows.map(([name, now, came]) => (
                <tr key={name} className="border-t border-hair">
                  <th className="font-medium">{name}</th>
                  <td className="num text-right text-3xl">{now}</td>
                  <td className="num text-right text-xl text-muted">{came}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <table className="text-left">
            <thead>
              <tr className="text-sm text-muted">
                <th>Valve</th>
                <th>Spring</th>
                <th className="text-right">{loadUnit(unit)}</th>
                <th className="text-right">{heightUnit(unit)}</th>
                <th className="pl-3">Shims</th>
              </tr>
            </thead>
            <tbody>
              {chosen.placed.map((p) => (
                <tr key={p.position} className="border-t border-hair">
                  <td className="font-bold">{p.position}</td>
                  <td>
                    {p.mark}
                    {!p.fits && <span className="block font-semibold text-tight">✕ {whyNot(p, unit)}</span>}
                  </td>
                  <td className="num text-right">{loadText(p.seatLbf, unit)}</td>
                  <td className="num text-right">{heightText(p.heightIn, unit)}</td>
                  <td className="num pl-3">{p.shimsIn.map((s) => heightText(s, unit)).join(" + ") || "–"}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </div>
    </section>
  );
}
