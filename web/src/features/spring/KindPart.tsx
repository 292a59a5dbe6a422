import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { nth } from "../../ui/nth";
import { heightText, heightUnit, loadText, loadUnit } from "../../units/load";
import { figureText, measureText, unitOf } from "../../units/measures";
import { LoadDrawing } from "./LoadDrawing";
import { PocketRemarks } from "./PocketRemarks";

interface KindPartProps {
  candidates: Schemas["Candidate"][];
  kind: number;
}

/** One kind of valve: the figures of each spring in a column, and both drawn. */
export function KindPart({ candidates, kind }: KindPartProps) {
  const { unit } = useSettings();
  const shown = candidates.map((spring, i) => ({ spring, at: nth(spring.kinds, kind), main: i === 0 }));
  const { at: first } = nth(shown, 0);
  const name = first.kind === "INTAKE" ? "Intake" : "Exhaust";
  const heights = [...new Set(shown.map((x) => heightText(x.at.fit.heightIn, unit)))];
  const rows: [string, (a: Schemas["AtKind"], c: Schemas["Candidate"]) => string][] = [
    [`Closed, ${loadUnit(unit)}`, (x) => loadText(x.fit.seatLbf, unit, 0)],
    [`Open, ${loadUnit(unit)}`, (x) => loadText(x.fit.openLbf, unit, 0)],
    [`To bind, ${heightUnit(unit)}`, (x) => heightText(x.fit.bindClearanceIn, unit)],
    [`Rate, ${unitOf("rate", unit)}`, (_, c) => figureText("rate", c.rateLbfPerIn, unit)],
  ];
  return (
    <section className="scribed grid gap-2 rounded p-4" aria-label={name}>
      <h2 className="text-lg">
        {name}: height <b className="num text-xl">{heights.join(" / ")}</b>, lift{" "}
        <b className="num text-xl">{first.liftIn > 0 ? heightText(first.liftIn, unit) : "not known"}</b>
      </h2>
      <div className="grid items-start gap-4 min-[760px]:grid-cols-[auto_1fr]">
        <table className="text-left">
          <thead>
            <tr>
              <td />
              {shown.map((x) => (
                <th
                  key={x.spring.name}
                  className="min-w-24 pl-4 text-right"
                  style={{ color: x.main ? "var(--accent)" : "var(--line)" }}
                >
                  {x.spring.name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([label, of]) => (
              <tr key={label} className="border-t border-hair">
                <th className="py-1 font-medium text-muted">{label}</th>
                {shown.map((x) => (
                  <td key={x.spring.name} className="num pl-4 text-right text-2xl">
                    {of(x.at, x.spring)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
        <LoadDrawing
          height={200}
          springs={shown.map(({ spring, at, main }) => ({
            name: spring.name,
            curve: at.curve,
            fit: at.fit,
            liftIn: at.liftIn,
            main,
          }))}
        />
      </div>
      {shown.map(({ spring, at }) => (
        <div key={spring.name} className="grid gap-2">
          {at.fit.remarks.length + at.links.length > 0 && <h3 className="text-base">{spring.name}</h3>}
          <PocketRemarks fit={at.fit} links={at.links} />
        </div>
      ))}
    </section>
  );
}

/** How the load of the outer alone is known. */
const KNOWN: Record<Schemas["OuterAlone"]["source"], string> = {
  MEASURED: "Measured alone.",
  SUBTRACTED: "The whole less the inner, which was measured.",
  ESTIMATED: "By the wires' share of the rate: measure the outer alone before relying on it.",
};

/** The outer alone, as for a break-in. */
export function InnerOut({ candidates }: { candidates: Schemas["Candidate"][] }) {
  const { unit } = useSettings();
  const some = candidates.filter((c) => c.outerAlone);
  if (some.length === 0) return null;
  return (
    <section className="scribed rounded p-4" aria-label="Inner out">
      <h2 className="text-lg">With the inner out, as at a break-in</h2>
      {some.map((c) => (
        <p key={c.name}>
          {c.name}: about{" "}
          {c.kinds
            .map(
              (k) =>
                `${loadText(k.fit.openLbf * (c.outerAlone?.share ?? 0), unit, 0)} ${loadUnit(unit)} open at the ${k.kind.toLowerCase()}`,
            )
            .join(", ")}
          , {measureText("rate", c.outerAlone?.rateLbfPerIn, unit)}.{" "}
          {c.outerAlone && KNOWN[c.outerAlone.source]}
        </p>
      ))}
    </section>
  );
}
