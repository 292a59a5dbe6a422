import type { Schemas } from "../../api/client";
import { MARKS, MarkIcon } from "../../plan/verdict";
import { useSettings } from "../../shell/settings";
import { loadText, loadUnit, percentText } from "../../units/load";
import { chanceText, say, worthText } from "../../words/said";
import { hoursLeftText } from "./springFaces";

/** The numbers of a verdict. */
export function Numbers({ said: { outlook } }: { said: Schemas["SpringSaid"] }) {
  if (!outlook) return <p className="text-muted">Not tested yet: no loss, and no hours left to speak of.</p>;
  return (
    <dl className="flex flex-wrap gap-x-6 gap-y-1">
      <Figure name="loss now" value={`${percentText(outlook.lossNow.mid)} %`} />
      <Figure
        name="after the next event"
        value={`${percentText(outlook.lossAtNext.low)} to ${percentText(outlook.lossAtNext.high)} %`}
      />
      <Figure name="chance of being under a limit" value={chanceText(outlook.underAtNext)} />
      <Figure name="hours left" value={hoursLeftText(outlook.hoursLeft)} />
    </dl>
  );
}

/** Every reason behind a verdict, the weightiest first. */
export function Reasons({ said }: { said: Schemas["SpringSaid"] }) {
  const { unit } = useSettings();
  return (
    <div className="grid gap-2">
      <ul className="grid gap-1">
        {said.reasons.map((r) => (
          <li key={r.kind} className="flex items-start gap-2">
            <span className="mt-0.5 shrink-0">
              <MarkIcon mark={r.asks} size={20} />
            </span>
            {say(r.said, unit)}
          </li>
        ))}
      </ul>
      <OnPaper said={said} />
      {said.outlook && <p className="text-muted">{worthText(said.decides)}</p>}
      {said.dueBefore && (
        <p className="font-semibold">
          {MARKS[said.verdict].word} before {said.dueBefore}
        </p>
      )}
    </div>
  );
}

/** How paper would have it, beside what Shim says. */
function OnPaper({ said: { onPaper } }: { said: Schemas["SpringSaid"] }) {
  const { unit } = useSettings();
  if (!onPaper) return null;
  const load = (lbf: number) => `${loadText(lbf, unit)} ${loadUnit(unit)}`;
  return (
    <p className="text-muted">
      On paper: {load(onPaper.firstLbf)} at {onPaper.firstHours.toFixed(1)} h, {load(onPaper.lastLbf)} at{" "}
      {onPaper.lastHours.toFixed(1)} h: {percentText(onPaper.lost)} % lost,{" "}
      {percentText(onPaper.lostCorrected)} % with the check spring: {onPaper.change ? "change" : "run"}
    </p>
  );
}

function Figure({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt className="text-sm text-muted">{name}</dt>
      <dd className="num text-2xl">{value}</dd>
    </div>
  );
}
