import type { Schemas, Valve } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import type { LashUnit } from "../../units/lash";
import { heightText, kept, loadText, loadUnit } from "../../units/load";

/** What a maker asks and Shim does not know: lines to write on. */
const BY_HAND = [
  "Valve stem diameter",
  "Lock angle and groove",
  "Guide and seal, outside",
  "Locator bore",
  "Valve material, stem hollow?",
  "Top rpm, for how long",
  "Hours between changes",
  "Ordered by, date",
];

/** One valve's measures; what is not known is left open. */
export interface OrderRow {
  position: Valve;
  heightIn?: number;
  targetIn?: number;
  liftIn?: number;
  seatLbf?: number;
  openLbf?: number;
  bindClearanceIn?: number;
  sealGapIn?: number;
  pocketIn?: number;
  stemIn?: number;
  shims?: string;
  parts?: string;
}

interface OrderPaperProps {
  title: string;
  facts: [name: string, value: string | undefined][];
  rows: OrderRow[];
  /** What the figures are, in the end. */
  note: string;
}

type Column = [title: string, text: (r: OrderRow) => string];

/** One page of measures for whoever orders or sells the parts. Columns nobody filled are left out. */
export function OrderPaper({ title, facts, rows, note }: OrderPaperProps) {
  const { unit } = useSettings();
  const inch = (v: number | undefined) => (v === undefined ? "" : heightText(v, unit));
  const lbf = (v: number | undefined) => (v === undefined ? "" : loadText(v, unit, 0));
  const all: Column[] = [
    ["Height", (r) => inch(r.heightIn)],
    ["Wanted", (r) => inch(r.targetIn)],
    ["Lift", (r) => (r.liftIn ? inch(r.liftIn) : "")],
    [`Closed, ${loadUnit(unit)}`, (r) => lbf(r.seatLbf)],
    ["Open", (r) => lbf(r.openLbf)],
    ["To bind", (r) => inch(r.bindClearanceIn)],
    ["Seal gap", (r) => inch(r.sealGapIn)],
    ["Pocket", (r) => inch(r.pocketIn)],
    ["Stem", (r) => inch(r.stemIn)],
  ];
  const columns = all.filter(([, text]) => rows.some((r) => text(r) !== ""));
  const parts = rows.some((r) => r.parts || r.shims);
  return (
    <div className="mx-auto grid w-full max-w-4xl gap-3 p-3">
      <div className="flex items-center justify-between">
        <h1 className="text-xl">{title}</h1>
        <Button className="no-print" look="now" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <dl className="grid grid-cols-2 gap-x-6 min-[700px]:grid-cols-4">
        {facts.map(([name, value]) => (
          <div key={name} className="border-t border-hair">
            <dt className="text-sm text-muted">{name}</dt>
            <dd className="num text-lg">{value || "–"}</dd>
          </div>
        ))}
      </dl>
      <table className="w-full text-sm">
        <thead>
          <tr className="border-b border-line text-left">
            <th>Valve</th>
            {columns.map(([name]) => (
              <th key={name} className="text-right">
                {name}
              </th>
            ))}
            {parts && <th className="pl-3">Shims</th>}
            {parts && <th className="pl-3">Retainer, locks, locator</th>}
          </tr>
        </thead>
        <tbody>
          {rows.map((r) => (
            <tr key={r.position} className="border-b border-hair">
              <td className="py-1 font-bold">{r.position}</td>
              {columns.map(([name, text]) => (
                <td key={name} className="num text-right">
                  {text(r)}
                </td>
              ))}
              {parts && <td className="pl-3">{kept(r.shims ?? "", unit)}</td>}
              {parts && <td className="pl-3">{r.parts}</td>}
            </tr>
          ))}
        </tbody>
      </table>
      <dl className="grid grid-cols-2 gap-x-6 gap-y-1 text-sm min-[700px]:grid-cols-4" aria-label="By hand">
        {BY_HAND.map((name) => (
          <div key={name} className="flex h-11 flex-col justify-between border-b border-hair">
            <dt className="text-muted">{name}</dt>
            <dd />
          </div>
        ))}
      </dl>
      <p className="text-sm text-muted">
        Lengths in {unit === "mm" ? "mm" : "inches"}. {note} Empty boxes were not measured.
      </p>
    </div>
  );
}

/** Lifter, ratios and lash of an engine, as whoever sells springs asks for them. */
export function engineFacts(
  sheet: Schemas["EngineView"]["sheet"],
  unit: LashUnit,
): [name: string, value: string | undefined][] {
  const { drive, cam } = sheet;
  const inch = (v: number | undefined) => (v === undefined ? "" : heightText(v, unit));
  return [
    ["Lifter", drive?.lifter?.toLowerCase().replace("_", " ")],
    ["Rocker ratio", [drive?.ratioIntake, drive?.ratioExhaust].filter(Boolean).join(" / ")],
    ["Lash", [cam?.lashIntakeIn, cam?.lashExhaustIn].map(inch).join(" / ")],
  ];
}
