import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link, useParams } from "@tanstack/react-router";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas, wordsOf } from "../../api/client";
import {
  engine as engineQuery,
  revisions as revisionsQuery,
  roundLooks,
  round as roundQuery,
  roundTest,
  springTest,
} from "../../api/queries";
import { whenAllSent } from "../../outbox/outbox";
import { ValvePlan } from "../../plan/ValvePlan";
import { MarkIcon } from "../../plan/verdict";
import { EngineTabs, Waiting } from "../../shell/EngineFrame";
import { Initials } from "../../shell/Initials";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { Check, Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { driftText, lashText, unitName } from "../../units/lash";
import { ofRound, type RoundParcel } from "./overlay";
import { roundFaces } from "./roundFaces";
import { type Round, useRound } from "./useRound";

/** What the round says, what to look at first, and the signature. */
export function EndPage() {
  const { id } = useParams({ from: "/rounds/$id/end" });
  const { round, error, parcels } = useRound(id);
  const { unit } = useSettings();
  if (error && !round) return <Problem error={error} />;
  if (!round) return <Waiting />;
  return (
    <>
      <EngineTabs id={round.engineId} name={round.engineName} />
      <div className="grid gap-3 p-3 min-[1000px]:grid-cols-[320px_minmax(0,1fr)]">
        <section className="scribed self-start rounded p-3" aria-label="Valve plan">
          <ValvePlan
            layout={round.layout}
            faces={roundFaces(round, -1, unit)}
            label="As left"
            className="max-h-[38vh] w-full min-[1000px]:max-h-[70vh]"
          />
        </section>
        <div className="flex min-w-0 flex-col gap-3">
          <header className="flex flex-wrap items-center gap-3">
            <h2 className="flex-1 text-xl">
              {round.state === "HOT" ? "Hot" : "Cold"} round at {round.engineHours} h: {round.done} of{" "}
              {round.valves.length} valves
            </h2>
            {!round.signedBy && (
              <Link
                to="/rounds/$id"
                params={{ id: round.id }}
                className={buttonClass(round.done < round.valves.length ? "now" : "plain")}
              >
                {round.done < round.valves.length ? "Go on with the round" : "Back to the valves"}
              </Link>
            )}
            <Link to="/rounds/$id/sheet" params={{ id: round.id }} className={buttonClass()}>
              Lash sheet
            </Link>
          </header>
          <OpenSprings roundId={round.id} />
          <FirstLooks round={round} />
          <Adjusted round={round} />
          {round.swaps && <Swaps swaps={round.swaps} />}
          <SignOff round={round} waits={parcels} />
          <Figures round={round} />
          <Corrections id={round.id} />
        </div>
      </div>
    </>
  );
}

/** The spring test begun with this round, while it is open. */
function OpenSprings({ roundId }: { roundId: string }) {
  const testId = useQuery(roundTest(roundId)).data?.testId ?? "";
  const test = useQuery({ ...springTest(testId), enabled: testId !== "" }).data;
  if (!test || test.endedAt) return null;
  return (
    <Notice tone="ask">
      The spring test of this round is open, {test.done} of {test.valves.length} read:{" "}
      <Link to="/tests/$id" params={{ id: testId }}>
        go on with it
      </Link>
      .
    </Notice>
  );
}

const TONE = { FIRST: "stop", SOON: "care", KNOW: "know" } as const;

type Look = Schemas["Look"];

/** This round by itself and all rounds up to it, most pressing first. */
function FirstLooks({ round }: { round: Round }) {
  const looks = useQuery(roundLooks(round.engineId, round.id, round.changes));
  if (looks.error && !looks.data) return <Problem error={looks.error} />;
  if (!looks.data) return <Waiting />;
  const { now, onTheDay } = looks.data;
  const open = now.filter((l) => l.about !== "NOT_DONE");
  const notDone = now.length - open.length;
  return (
    <section className="grid gap-2" aria-label="Look at first">
      {open.map((l) => (
        <LookNotice key={l.words} look={l} engineId={round.engineId} />
      ))}
      {notDone > 0 && <Notice tone="care">{notDone} valves are not done yet.</Notice>}
      {now.length === 0 && !round.hydraulic && (
        <Notice tone="know">
          Every valve was left inside its tolerance, and over all rounds none goes its own way.
        </Notice>
      )}
      {onTheDay && said(onTheDay) !== said(now) && <OnTheDay looks={onTheDay} />}
    </section>
  );
}

const said = (looks: Look[]) => looks.map((l) => l.words).join("\n");

function LookNotice({ look, engineId }: { look: Look; engineId: string }) {
  return (
    <Notice tone={TONE[look.weight]}>
      {look.words}
      {look.position && (
        <Link
          to="/engines/$id/lifters"
          params={{ id: engineId }}
          search={{ valve: look.position }}
          className="ml-2 whitespace-nowrap"
        >
          all its rounds
        </Link>
      )}
    </Notice>
  );
}

/** What Shim said when the round was signed, where it says something else today. */
function OnTheDay({ looks }: { looks: Look[] }) {
  return (
    <details className="scribed rounded px-4">
      <summary className="min-h-11 cursor-pointer content-center font-semibold">
        When it was signed Shim said something else
      </summary>
      {looks.length === 0 ? (
        <p>Nothing to look at.</p>
      ) : (
        <ul>
          {looks.map((l) => (
            <li key={l.words}>{l.words}</li>
          ))}
        </ul>
      )}
    </details>
  );
}

/** What was changed, and which valves still want a part. */
function Adjusted({ round }: { round: Round }) {
  const moved = round.valves.filter((v) => v.left && v.left.form !== "SAME").map((v) => v.position);
  const wanting = round.valves.filter((v) => v.part && v.leftVerdict !== "IN" && v.foundVerdict !== "IN");
  return (
    <section aria-label="What was changed" className="scribed rounded px-4 py-2">
      <p>{moved.length === 0 ? "No valve was adjusted." : `Adjusted and read again: ${moved.join(" ")}.`}</p>
      {wanting.map((v) => (
        <p key={v.position}>
          <strong>{v.position}</strong>: {v.part?.words}
        </p>
      ))}
    </section>
  );
}

function Swaps({ swaps }: { swaps: Schemas["ShimSwaps"] }) {
  return (
    <section className="scribed rounded p-4" aria-label="Shims">
      <h3 className="text-lg">Shims: {swaps.within} valves right without buying any</h3>
      <ul>
        {swaps.moves.map((m) => (
          <li key={m.from + m.to}>
            <strong>
              {m.from} → {m.to}
            </strong>{" "}
            <span className="num text-lg">{m.shimIn.toFixed(4)}</span>, lash {m.lashIn.toFixed(4)}
          </li>
        ))}
        {swaps.wanted.map((w) => (
          <li key={w.position}>
            <strong>{w.position}</strong> wants a shim of{" "}
            <span className="num text-lg">{w.shimIn.toFixed(4)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function SignOff({ round, waits }: { round: Round; waits: readonly RoundParcel[] }) {
  const queries = useQueryClient();
  const settings = useSettings();
  const rules = useQuery(engineQuery(round.engineId)).data?.sheet.use?.classRules ?? [];
  const [initials, setInitials] = useState(settings.hand || round.hand);
  const [temp, setTemp] = useState("");
  const [note, setNote] = useState("");
  const [checked, setChecked] = useState<string[]>([]);
  const sign = useMutation({
    networkMode: "always",
    mutationFn: async () => {
      await whenAllSent((p) => ofRound([p], round.id).length > 0);
      return answered(
        api.PUT("/api/rounds/{id}/signature", {
          params: { path: { id: round.id } },
          body: {
            initials,
            headTempEndF: temp.trim() === "" ? undefined : Number(temp.replace(",", ".")),
            note: note || undefined,
            rulesChecked: checked,
          },
        }),
      );
    },
    onSuccess: (r) => {
      queries.setQueryData(roundQuery(round.id).queryKey, r);
      void queries.invalidateQueries({ queryKey: ["engines", round.engineId] });
    },
  });
  if (round.signedBy) {
    return (
      <Notice tone="know">
        Signed off by <strong>{round.signedBy}</strong>
        {round.signedAt && `, ${new Date(round.signedAt).toLocaleString()}`}.
        {round.headTempEndF !== undefined &&
          ` Heads ${round.headTempStartF ?? "?"} to ${round.headTempEndF} °F.`}
        {round.note && ` ${round.note}`}
      </Notice>
    );
  }
  const problem = sign.error instanceof ApiProblem ? sign.error : undefined;
  return (
    <form
      className="scribed grid gap-3 rounded p-4"
      aria-label="Sign off"
      onSubmit={(e) => {
        e.preventDefault();
        sign.mutate();
      }}
    >
      {rules.map((r) => (
        <Check
          key={r.rule}
          label={`Class rule looked at: ${[r.rule, r.source, r.date].filter(Boolean).join(", ")}`}
          checked={checked.includes(r.rule ?? "")}
          onChange={(e) =>
            setChecked(e.target.checked ? [...checked, r.rule ?? ""] : checked.filter((c) => c !== r.rule))
          }
        />
      ))}
      <div className="grid gap-3 min-[640px]:grid-cols-[8rem_12rem_1fr_auto] min-[640px]:items-start">
        <Initials
          value={initials}
          onChange={setInitials}
          error={problem?.errors.find((e) => e.field === "initials")?.message}
        />
        <Field
          label="Head temperature, °F"
          value={temp}
          inputMode="decimal"
          hint="at the end, if known"
          onChange={(e) => setTemp(e.target.value)}
        />
        <Field label="Note" value={note} maxLength={2000} onChange={(e) => setNote(e.target.value)} />
        <Button
          look={round.done === round.valves.length ? "now" : "plain"}
          type="submit"
          disabled={sign.isPending}
          className="min-[640px]:mt-6"
        >
          Sign off
        </Button>
      </div>
      {waits.length > 0 && (
        <Notice tone="care">
          {waits.length} {waits.length === 1 ? "figure is" : "figures are"} still on the way to Shim; the
          signature follows them. <Link to="/waiting">What waits</Link>
        </Notice>
      )}
      {sign.error && !problem && <Notice tone="stop">{wordsOf(sign.error)}</Notice>}
      {problem && !problem.errors.some((e) => e.field === "initials") && (
        <Notice tone="stop">{wordsOf(problem)}</Notice>
      )}
    </form>
  );
}

function Figures({ round }: { round: Round }) {
  const { unit } = useSettings();
  const medians = round.story.medianDriftIn as Record<string, number | undefined>;
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
                <td>{v.target ? lashText(v.target.targetIn, unit) : ""}</td>
                <td>{v.found ? (v.found.turns ?? lashText(v.found.valueIn, unit)) : "–"}</td>
                <td>{v.left ? (v.left.turns ?? lashText(v.left.valueIn, unit)) : "–"}</td>
                <td>{driftText(v.driftIn, unit)}</td>
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
          ? "turns back to zero lash"
          : `lash in ${unitName(unit)}; drift is found minus left last time in the same state`}
      </p>
    </section>
  );
}

/** What was changed after it was first written: the first figure is never lost. */
function Corrections({ id }: { id: string }) {
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
