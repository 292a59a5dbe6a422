import { useQuery } from "@tanstack/react-query";
import { revisions as revisionsQuery } from "../../api/queries";
import { MarkIcon } from "../../plan/verdict";
import { useSettings } from "../../shell/settings";
import { nth } from "../../ui/nth";
import { driftText, lashText, unitName } from "../../units/lash";
import { partText, preloadText, sizeText } from "../../words/adjust";
import { preloadDriftText } from "../../words/preload";
import { fittedText, readText, wantedText } from "./readings";
import { type Round, useLooks } from "./useRound";

/** What was changed, and which valves still want a part. */
export function Adjusted({ round }: { round: Round }) {
  const { unit } = useSettings();
  const moved = round.valves.filter((v) => v.left && v.left.form !== "SAME").map((v) => v.position);
  const wanting = round.valves.filter(
    (v) => (v.part || v.preload?.parts) && (v.leftVerdict ?? v.foundVerdict) !== "IN",
  );
  return (
    <section aria-label="What was changed" className="scribed rounded px-4 py-2">
      <p>{moved.length === 0 ? "No valve was adjusted." : `Adjusted and read again: ${moved.join(" ")}.`}</p>
      {wanting.map((v) => (
        <p key={v.position}>
          <strong>{v.position}</strong>: {v.part && partText(v.part, unit)}
          {v.preload && v.preloadTarget && preloadText(v.preload, v.preloadTarget, unit)}
        </p>
      ))}
    </section>
  );
}

/** Which shims of the engine fit another valve. */
export function Swaps({ round }: { round: Round }) {
  const { unit } = useSettings();
  const swaps = useLooks(round).data?.swaps;
  if (!swaps) return null;
  return (
    <section className="scribed rounded p-4" aria-label="Shims">
      <h3 className="text-lg">Shims: {swaps.within} valves right without buying any</h3>
      <ul>
        {swaps.moves.map((m) => (
          <li key={m.from + m.to}>
            <strong>
              {m.from} → {m.to}
            </strong>{" "}
            <span className="num text-lg">{sizeText(m.shimIn, unit)}</span>, lash {lashText(m.lashIn, unit)}{" "}
            {unitName(unit)}
          </li>
        ))}
        {swaps.wanted.map((w) => (
          <li key={w.position}>
            <strong>{w.position}</strong> wants a shim of{" "}
            <span className="num text-lg">{sizeText(w.shimIn, unit)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Every valve of the round in figures. */
export function Figures({ round }: { round: Round }) {
  const { unit } = useSettings();
  const medians: Record<string, number | undefined> = useLooks(round).data?.medianDriftIn ?? {};
  return (
    <section className="scribed overflow-x-auto rounded p-4" aria-label="Figures">
      <table className="w-full text-left">
        <thead className="text-sm text-muted">
          <tr>
            {["valve", "target", "found", "left", "drift", "against its kind", "read by", ""].map((h) => (
              <th key={h} className="pr-4 font-medium">
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {round.valves.map((v) => {
            const median = medians[v.position.includes("I") ? "INTAKE" : "EXHAUST"];
            const own = v.driftIn !== undefined && median !== undefined ? v.driftIn - median : undefined;
            return (
              <tr key={v.position} className="num border-t border-hair text-lg">
                <th scope="row">{v.position}</th>
                <td>{wantedText(v, unit)}</td>
                <td>{readText(v.found, unit)}</td>
                <td>{v.left?.zeroLashIn === undefined ? readText(v.left, unit) : fittedText(v, unit)}</td>
                <td>
                  {v.preloadTarget
                    ? preloadDriftText(v.preloadDrift, v.preloadTarget, unit)
                    : driftText(v.driftIn, unit)}
                </td>
                <td>{driftText(own, unit)}</td>
                <td className="font-word text-base">{v.left?.hand ?? v.found?.hand}</td>
                <td>{v.leftVerdict && <MarkIcon mark={v.leftVerdict} />}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mt-2 text-sm text-muted">
        {round.hydraulic
          ? nth(round.valves, 0).preloadTarget?.unit === "INCH"
            ? "found: the length at zero lash; left: what is in; preload in travel of the plunger"
            : "turns back to zero lash"
          : `lash in ${unitName(unit)}; drift is found minus left last time in the same state`}
      </p>
    </section>
  );
}

/** What was changed after it was first written: the first figure is never lost. */
export function Corrections({ id }: { id: string }) {
  const list = (useQuery(revisionsQuery(id)).data ?? []).filter((r) => r.change !== "ADD");
  if (list.length === 0) return null;
  return (
    <details className="scribed rounded p-4">
      <summary className="min-h-11 cursor-pointer content-center font-semibold">
        {list.length} corrections
      </summary>
      <ul>
        {list.map((r) => (
          <li key={r.at + r.valve + r.phase}>
            <strong>{r.valve}</strong> as {r.phase.toLowerCase()}:{" "}
            {r.change === "DEL" ? "taken back" : `now ${r.typed ?? "as found"}`} by {r.who ?? "?"} (
            {r.why ?? "no reason given"})
          </li>
        ))}
      </ul>
    </details>
  );
}
