import { useQuery } from "@tanstack/react-query";
import { useParams } from "@tanstack/react-router";
import { useState } from "react";
import { ApiProblem, type Schemas, wordsOf } from "../../api/client";
import { pockets as pocketsQuery, springCandidates, springTypes } from "../../api/queries";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Field, Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { nth } from "../../ui/nth";
import { heightText, heightUnit, loadText, loadUnit, readHeight, readNumber } from "../../units/load";
import { LoadDrawing } from "./LoadDrawing";
import { PocketRemarks } from "./PocketRemarks";
import { SheetBoxes, useSpringSheet } from "./SheetBoxes";

/** Does this spring carry this cam? Two of them side by side on this engine. */
export function ComparePage() {
  const { id } = useParams({ from: "/engines/$id/spring-compare" });
  const types = useQuery(springTypes());
  const known = useQuery(pocketsQuery(id));
  return (
    <EngineFrame id={id}>
      {() => {
        const error = types.error ?? known.error;
        if (error && (!types.data || !known.data)) return <Problem error={error} />;
        if (!types.data || !known.data) return <Waiting />;
        return <Compare engineId={id} types={types.data} fitted={known.data.pockets[0]?.typeId} />;
      }}
    </EngineFrame>
  );
}

interface CompareProps {
  engineId: string;
  types: Schemas["StoredType"][];
  fitted?: string;
}

function Compare({ engineId, types, fitted }: CompareProps) {
  const { unit } = useSettings();
  const own = useSpringSheet();
  const first = fitted ?? types[0]?.id ?? "new";
  const [a, setA] = useState(first);
  const [b, setB] = useState(types.find((x) => x.id !== first)?.id ?? "new");
  const [t, setT] = useState({ hi: "", he: "", li: "", le: "", rpm: "" });
  const sheet = (id: string) => (id === "new" ? own.sheet : types.find((x) => x.id === id)?.sheet);
  const drawn = a === b ? [a] : [a, b];
  const ready = drawn.filter((id) => id !== "new" || own.begun);
  const query = useQuery({
    ...springCandidates(engineId, {
      sheets: ready.map(sheet).filter((s) => s !== undefined),
      heightIntakeIn: readHeight(t.hi, unit),
      heightExhaustIn: readHeight(t.he, unit),
      liftIntakeIn: readHeight(t.li, unit),
      liftExhaustIn: readHeight(t.le, unit),
      topRpm: readNumber(t.rpm),
    }),
    enabled: ready.length > 0,
  });
  const problem = query.error instanceof ApiProblem ? query.error : undefined;
  const error = (f: string) => problem?.errors.find((e) => e.field === f)?.message;
  const shown = ready.length > 0 && !problem ? (query.data ?? []).slice(0, ready.length) : [];
  const options = [
    ...types.map((x) => [x.id, x.sheet.name ?? ""] as const),
    ["new", "another, from its sheet"],
  ] as const;
  const box = (key: keyof typeof t, label: string, field: string, hint: string) => (
    <Field
      label={label}
      hint={hint}
      value={t[key]}
      inputMode="decimal"
      className="num text-lg"
      onChange={(e) => setT({ ...t, [key]: e.target.value })}
      error={error(field)}
    />
  );
  return (
    <div className="grid content-start items-start gap-3 p-3 min-[1000px]:grid-cols-[minmax(320px,420px)_1fr]">
      <section className="scribed grid gap-3 rounded p-4" aria-label="What is asked">
        <h2 className="text-xl">Does this spring carry this cam?</h2>
        <div className="grid grid-cols-2 gap-3">
          <Select label="One spring" value={a} onChange={(e) => setA(e.target.value)} options={options} />
          <Select label="Beside it" value={b} onChange={(e) => setB(e.target.value)} options={options} />
          {box(
            "li",
            `Intake lift at the valve, ${heightUnit(unit)}`,
            "liftIntakeIn",
            "blank: the cam card's",
          )}
          {box("le", `Exhaust lift, ${heightUnit(unit)}`, "liftExhaustIn", "blank: the cam card's")}
          {box("hi", `Intake height, ${heightUnit(unit)}`, "heightIntakeIn", "blank: as measured, or wanted")}
          {box(
            "he",
            `Exhaust height, ${heightUnit(unit)}`,
            "heightExhaustIn",
            "blank: as measured, or wanted",
          )}
          {box("rpm", "Top rpm", "topRpm", "blank: the limits'")}
        </div>
        {(a === "new" || b === "new") && <SheetBoxes of={own} refused={Boolean(problem)} />}
        {problem?.errors.every((e) => !e.field.startsWith("sheets")) && (
          <Notice tone="stop">{wordsOf(problem)}</Notice>
        )}
      </section>
      {shown.length === 0 ? (
        <Notice tone="know">Choose a spring, or write down its data sheet: two loads at two heights.</Notice>
      ) : (
        <div className="grid gap-3">
          {[0, 1].map((k) => (
            <KindPart key={k} candidates={shown} kind={k} />
          ))}
          <InnerOut candidates={shown} />
        </div>
      )}
    </div>
  );
}

interface KindPartProps {
  candidates: Schemas["Candidate"][];
  kind: number;
}

/** One kind of valve: the figures of each spring in a column, and both drawn. */
function KindPart({ candidates, kind }: KindPartProps) {
  const { unit } = useSettings();
  const shown = candidates.map((spring, i) => ({ spring, at: nth(spring.kinds, kind), main: i === 0 }));
  const { at: first } = nth(shown, 0);
  const name = first.kind === "INTAKE" ? "Intake" : "Exhaust";
  const heights = [...new Set(shown.map((x) => heightText(x.at.fit.heightIn, unit)))];
  const rows: [string, (a: Schemas["AtKind"], c: Schemas["Candidate"]) => string][] = [
    [`Closed, ${loadUnit(unit)}`, (x) => loadText(x.fit.seatLbf, unit, 0)],
    [`Open, ${loadUnit(unit)}`, (x) => loadText(x.fit.openLbf, unit, 0)],
    [`To bind, ${heightUnit(unit)}`, (x) => heightText(x.fit.bindClearanceIn, unit)],
    ["Rate, lbf/in", (_, c) => c.rateLbfPerIn.toFixed(0)],
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

/** The outer alone, as for a break-in. */
function InnerOut({ candidates }: { candidates: Schemas["Candidate"][] }) {
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
          , {c.outerAlone?.rateLbfPerIn.toFixed(0)} lbf/in. By the wires' share of the rate: measure the outer
          alone before relying on it.
        </p>
      ))}
    </section>
  );
}
