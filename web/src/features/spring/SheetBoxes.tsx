import { useQuery } from "@tanstack/react-query";
import { Fragment, useState } from "react";
import type { Schemas } from "../../api/client";
import { sheetOfSpring } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field, Select } from "../../ui/Field";
import { heightUnit, loadUnit, readHeight, readLoad, readNumber } from "../../units/load";
import { figureText, unitOf } from "../../units/measures";

const FORMS = [
  ["SINGLE", "single"],
  ["SINGLE_WITH_DAMPER", "single with damper"],
  ["DUAL", "dual"],
  ["DUAL_WITH_DAMPER", "dual with damper"],
  ["TRIPLE", "triple"],
  ["BEEHIVE", "beehive"],
  ["CONICAL", "conical"],
] as const;

const RINGS = { outer: "Outer", inner: "Inner" };
const HEIGHTS = ["Seat height", "Open height"];
const MOST_LOADS = 8;

export type SpringSheet = Schemas["SpringSheet"];

/** What is typed of a data sheet, read as the person's unit says. */
export function useSpringSheet() {
  const { unit } = useSettings();
  const [form, setForm] = useState<NonNullable<SpringSheet["form"]>>("DUAL");
  const [typed, setTyped] = useState<Record<string, string>>({});
  const h = (k: string) => readHeight(typed[k] ?? "", unit);
  const lbf = (k: string) => readLoad(typed[k] ?? "", unit);
  const wire = (of: string) => {
    // Measured alone at the two heights of the sheet, one ring in, the other out.
    const alone = [
      { heightIn: h("height0"), loadLbf: lbf(`${of}Seat`) },
      { heightIn: h("height1"), loadLbf: lbf(`${of}Open`) },
    ].filter((l) => l.loadLbf !== undefined);
    return {
      wireIn: h(`${of}Wire`),
      odIn: h(`${of}Od`),
      coils: readNumber(typed[`${of}Coils`] ?? ""),
      bindIn: h(`${of}Bind`),
      stepIn: h(`${of}Step`),
      loads: alone.length > 0 ? alone : undefined,
    };
  };
  const [rows, setRows] = useState(2);
  const rings = [wire("outer"), wire("inner")];
  const wires = rings.some((w) => Object.values(w).some((v) => v !== undefined)) ? rings : [];
  const sheet: SpringSheet = {
    name: typed.name,
    form,
    loads: Array.from({ length: rows }, (_, i) => ({
      heightIn: h(`height${i}`),
      loadLbf: readLoad(typed[`load${i}`] ?? "", unit),
    })),
    bindIn: h("bindIn"),
    odIn: h("odIn"),
    freeLengthIn: h("freeIn"),
    maxLiftIn: h("liftIn"),
    lifeHours: readNumber(typed.life ?? ""),
    wires: wires.length > 0 ? wires : undefined,
  };
  /** Enough is typed to make a judgement of it worth showing. */
  const begun = Object.keys(typed).length > 3;
  return { sheet, form, setForm, typed, setTyped, begun, rows, more: () => setRows(rows + 1) };
}

interface SheetBoxesProps {
  of: ReturnType<typeof useSpringSheet>;
  /** Shim refused it: say at each box what is wrong. */
  refused: boolean;
}

/** The boxes of a data sheet; what does not agree within it is asked at once. */
export function SheetBoxes({ of, refused }: SheetBoxesProps) {
  const { unit } = useSettings();
  const { sheet, form, setForm, typed, setTyped, begun, rows, more } = of;
  const read = useQuery(sheetOfSpring(sheet)).data;
  const said = (f: string, asked: boolean) =>
    begun
      ? read?.problems.find((p) => p.field.startsWith(f) && (p.weight === "ASKED") === asked)?.message
      : undefined;
  const box = (key: string, label: string, field: string, text = false) => (
    <Field
      label={label}
      value={typed[key] ?? ""}
      inputMode={text ? "text" : "decimal"}
      className={text ? "" : "num text-lg"}
      onChange={(e) => setTyped({ ...typed, [key]: e.target.value })}
      error={refused ? said(field, false) : undefined}
      ask={said(field, true)}
    />
  );
  const inch = heightUnit(unit);
  return (
    <>
      <div className="grid grid-cols-2 gap-3">
        {box("name", "Name", "name", true)}
        <Select
          label="Form"
          value={form}
          onChange={(e) => setForm(e.target.value as typeof form)}
          options={FORMS}
        />
        {Array.from({ length: rows }, (_, i) => {
          const label = HEIGHTS[i] ?? "A height between";
          return (
            <Fragment key={label + String(i)}>
              {box(`height${i}`, `${label}, ${inch}`, i === 0 ? "loads" : `loads[${i}].height`)}
              {box(`load${i}`, `Load there, ${loadUnit(unit)}`, `loads[${i}].load`)}
            </Fragment>
          );
        })}
        <Button className="col-span-2 justify-self-start" onClick={more} disabled={rows >= MOST_LOADS}>
          Another load: a progressive or beehive spring
        </Button>
        {box("bindIn", `Height at bind, ${inch}`, "bindIn")}
        {box("odIn", `Outside diameter, ${inch}`, "odIn")}
        {box("freeIn", `Free length, ${inch}`, "freeLengthIn")}
        {box("life", "Life, hours", "lifeHours")}
        {box("liftIn", `Largest valve lift, ${inch}`, "maxLiftIn")}
      </div>
      <details>
        <summary className="min-h-11 content-center text-sm font-semibold text-muted">
          Outer and inner by themselves: loads and bind as measured, or their wires
        </summary>
        <div className="grid grid-cols-3 gap-3">
          {(["outer", "inner"] as const).map((of, i) => (
            <Fragment key={of}>
              {box(`${of}Seat`, `${RINGS[of]} alone at seat height, ${loadUnit(unit)}`, `wires[${i}].loads`)}
              {box(`${of}Open`, `${RINGS[of]} alone at open height, ${loadUnit(unit)}`, `wires[${i}].loads`)}
              {box(`${of}Bind`, `${RINGS[of]}, height at bind, ${inch}`, `wires[${i}].bindIn`)}
              {box(`${of}Wire`, `${RINGS[of]} wire, ${inch}`, `wires[${i}].wire`)}
              {box(`${of}Od`, `${RINGS[of]}, outside diameter, ${inch}`, `wires[${i}].od`)}
              {box(`${of}Coils`, `${RINGS[of]}, active coils`, `wires[${i}].coils`)}
            </Fragment>
          ))}
          {box("innerStep", `Inner stands lower by, ${inch}`, "wires[1].stepIn")}
        </div>
      </details>
      {read?.rateLbfPerIn !== undefined && (
        <p className="text-muted">
          Rate by these loads <b className="num text-lg">{figureText("rate", read.rateLbfPerIn, unit)}</b>{" "}
          {unitOf("rate", unit)}
        </p>
      )}
    </>
  );
}
