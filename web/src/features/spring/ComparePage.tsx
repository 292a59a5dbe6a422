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
import { heightUnit, readHeight, readNumber } from "../../units/load";
import { InnerOut, KindPart } from "./KindPart";
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
