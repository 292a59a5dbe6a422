import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Notice } from "../../ui/Notice";
import type { LashUnit } from "../../units/lash";
import { heightText, heightUnit, loadText, loadUnit, percentText } from "../../units/load";
import { say } from "../../words/said";

type Planned = Schemas["PlannedValve"];
type Fit = Schemas["Fit"];

const ROWS: [name: string, of: (f: Fit, unit: LashUnit) => string][] = [
  ["Height", (f, u) => heightText(f.heightIn, u)],
  ["Closed", (f, u) => loadText(f.seatLbf, u, 0)],
  ["Open", (f, u) => loadText(f.openLbf, u, 0)],
  ["To bind", (f, u) => heightText(f.bindClearanceIn, u)],
  ["To seal", (f, u) => heightText(f.sealClearanceIn, u)],
];

/** Springs of another kind: each valve as it was, as it will be, and with which parts. */
export function KindChange({ plan }: { plan: Schemas["JobPlanView"] }) {
  const { unit } = useSettings();
  const changed = plan.valves.filter((v) => v.change);
  if (changed.length === 0 && plan.oddRetainers.length === 0) return null;
  return (
    <section className="scribed grid gap-2 rounded p-4" aria-label="Another kind of spring">
      <h2 className="text-lg">Another kind: as it was → as it will be</h2>
      {plan.against.map((a) => (
        <Notice
          key={`${a.said.code}${a.said.name}`}
          tone={a.weight === "STOP" ? "stop" : a.weight === "ASK" ? "ask" : "know"}
        >
          {say(a.said, unit)}
          {a.valves.length > 0 && `: ${a.valves.join(" ")}`}
        </Notice>
      ))}
      {changed.length > 0 && (
        <div className="overflow-x-auto">
          <table className="w-full">
            <thead>
              <tr className="border-b border-line text-left text-sm">
                <th>Valve</th>
                {ROWS.map(([name]) => (
                  <th key={name} className="px-2 text-right">
                    {name}
                  </th>
                ))}
                <th className="pl-3">Weakest link</th>
                <th className="pl-3">Goes in with it</th>
              </tr>
            </thead>
            <tbody>
              {changed.map((v) => (
                <Row key={v.valve} planned={v} />
              ))}
            </tbody>
          </table>
        </div>
      )}
      <p className="text-sm text-muted">
        Lengths in {heightUnit(unit)}, loads in {loadUnit(unit)}. Old parts are counted out to spares or
        scrap.
      </p>
      {plan.oddRetainers.map((o) => (
        <Notice key={o.valve} tone="ask">
          {o.valve} would have retainer {o.part} among {o.among}
        </Notice>
      ))}
    </section>
  );
}

function Row({ planned }: { planned: Planned }) {
  const { unit } = useSettings();
  const { change } = planned;
  if (!change) return null;
  const { before, after, parts } = change;
  const shims = parts.shimsIn.map((s) => heightText(s, unit)).join(" + ");
  const link = (l: typeof change.weakest) =>
    l ? `${l.part.toLowerCase()} ${percentText(l.used, 0)} %` : "–";
  return (
    <tr className="border-b border-hair align-top">
      <td className="py-1 text-xl font-bold">{planned.valve}</td>
      {ROWS.map(([name, of]) => (
        <td key={name} className="num px-2 py-1 text-right text-lg">
          <span className="block text-sm text-muted">{of(before, unit)} →</span>
          {of(after, unit)}
        </td>
      ))}
      <td className="py-1 pl-3">
        <span className="block text-sm text-muted">{link(change.weakestBefore)} →</span>
        {link(change.weakest)}
      </td>
      <td className="py-1 pl-3 text-sm">
        {[shims === "" ? "no shim" : `shims ${shims}`, parts.retainer, parts.locks, parts.cup]
          .filter(Boolean)
          .join(", ")}
      </td>
    </tr>
  );
}
