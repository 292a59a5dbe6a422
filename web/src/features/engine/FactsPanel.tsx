import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Notice } from "../../ui/Notice";
import { nth } from "../../ui/nth";
import { lashText, unitName } from "../../units/lash";
import { heightText, heightUnit } from "../../units/load";
import { sizeText } from "../../words/adjust";

/** What follows from the sheet, as it is typed. */
export function FactsPanel({ reading }: { reading?: Schemas["SheetReading"] }) {
  const facts = reading?.facts;
  if (!facts) {
    return (
      <p className="text-muted">
        Events, overlap, net lift and what a turn of the wrench does appear here as soon as the sheet is
        complete.
      </p>
    );
  }
  return (
    <div className="grid gap-3">
      {facts.timing && <Timing timing={facts.timing} />}
      <div className="grid grid-cols-2 gap-3">
        {facts.lobes.map((l) => (
          <LobeFacts key={l.kind} lobe={l} />
        ))}
      </div>
      <Turns turns={facts.turns} solid={facts.preloads.length === 0} />
      {facts.targets.length > 0 && <Targets targets={facts.targets} />}
      {reading?.layout && (
        <p className="text-sm text-muted">
          Share a TDC: {reading.layout.sharedTdc.map((g) => g.join("+")).join(", ")}
        </p>
      )}
      {facts.notes.map((n) => (
        <Notice key={n} tone="care">
          {n}
        </Notice>
      ))}
    </div>
  );
}

const deg = (v: number) => `${Math.round(v * 10) / 10}°`;

function Timing({ timing: t }: { timing: Schemas["CamTiming"] }) {
  const rows = [
    ["IVO", deg(t.ivoBtdcDeg), "BTDC"],
    ["IVC", deg(t.ivcAbdcDeg), "ABDC"],
    ["EVO", deg(t.evoBbdcDeg), "BBDC"],
    ["EVC", deg(t.evcAtdcDeg), "ATDC"],
    ["overlap", deg(t.overlapDeg), ""],
    ["advance", deg(t.advanceDeg), ""],
  ];
  return (
    <dl className="grid grid-cols-3 gap-x-3 gap-y-1">
      {rows.map(([name, value, where]) => (
        <div key={name}>
          <dt className="text-sm text-muted">
            {name} {where}
          </dt>
          <dd className="num text-2xl">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

function LobeFacts({ lobe }: { lobe: Schemas["LobeFacts"] }) {
  const { unit } = useSettings();
  const m = lobe.moving;
  const moves =
    m.highDeg === undefined
      ? `at least ${deg(m.lowDeg)}`
      : m.highDeg - m.lowDeg < 0.05
        ? deg(m.lowDeg)
        : `${deg(m.lowDeg)} to ${deg(m.highDeg)}`;
  return (
    <div className="border-t border-hair pt-1">
      <h3 className="text-sm text-muted">{lobe.kind === "INTAKE" ? "Intake" : "Exhaust"}</h3>
      <p>
        <span className="num text-2xl">{heightText(lobe.netLiftIn, unit)}</span> {heightUnit(unit)} net lift
      </p>
      <p className="text-sm text-muted">{heightText(lobe.grossLiftIn, unit)} gross at the valve</p>
      <p className="text-sm">The valve really moves for {moves}</p>
      <p className="text-sm text-muted">{m.words}</p>
      <p className="text-sm text-muted">
        ramp margin {deg(lobe.marginDeg)} a side
        {lobe.measuredOn !== undefined && `; windows, slack and duration as measured on ${lobe.measuredOn}`}
      </p>
    </div>
  );
}

function Turns({ turns, solid }: { turns: Schemas["TurnFacts"][]; solid: boolean }) {
  const { unit } = useSettings();
  if (turns.length === 0) return null;
  return (
    <p className="border-t border-hair pt-1 text-sm">
      One turn moves{" "}
      {turns.map((t, i) => (
        <span key={t.kind}>
          {i > 0 && ", "}
          {t.kind === "INTAKE" ? "intake" : "exhaust"}{" "}
          <strong className="num text-lg">
            {solid
              ? `${lashText(t.lashPerTurnIn, unit)} ${unitName(unit)}`
              : `${sizeText(t.plungerPerTurnIn, unit)} of plunger`}
          </strong>
        </span>
      ))}
      {solid && `; 5° is ${lashText(nth(turns, 0).perFiveDegreesIn, unit)} ${unitName(unit)}`}
    </p>
  );
}

function Targets({ targets }: { targets: Schemas["LashTarget"][] }) {
  const { unit } = useSettings();
  return (
    <table className="w-full border-t border-hair text-left">
      <thead>
        <tr className="text-sm text-muted">
          <th className="font-medium">Lash, {unitName(unit)}</th>
          <th className="font-medium">hot</th>
          <th className="font-medium">cold</th>
        </tr>
      </thead>
      <tbody>
        {(["INTAKE", "EXHAUST"] as const).map((kind) => (
          <tr key={kind}>
            <th className="font-semibold">{kind === "INTAKE" ? "intake" : "exhaust"}</th>
            {(["HOT", "COLD"] as const).map((state) => (
              <td key={state} className="num text-xl">
                {lashText(targets.find((t) => t.kind === kind && t.state === state)?.targetIn, unit)}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
