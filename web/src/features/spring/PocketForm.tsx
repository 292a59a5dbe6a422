import { useMutation } from "@tanstack/react-query";
import { type FormEvent, useEffect, useRef, useState } from "react";
import { askedAnew } from "../../api/anew";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { untouched } from "../../units/boxes";
import { heightText, heightUnit, kept, loadText, loadUnit, named, readHeight } from "../../units/load";
import { wayText } from "../../words/adjust";
import { LoadDrawing } from "./LoadDrawing";
import { PocketRemarks } from "./PocketRemarks";
import { PocketWays } from "./PocketWays";

const FIGURES = ["height", "sealGap", "pocket", "coilGap"] as const;

export type Pocket = Schemas["PocketView"];

interface PocketFormProps {
  pocket: Pocket;
  onNext: () => void;
}

/** One pocket: the height is the figure; the rest stays as it was unless it is written anew. */
export function PocketForm({ pocket, onNext }: PocketFormProps) {
  const { unit, hand, setHand } = useSettings();
  const box = useRef<HTMLInputElement>(null);
  const f = pocket.fitting;
  const text = (inch: number | undefined) => (inch === undefined ? "" : heightText(inch, unit));
  const [t, setT] = useState({
    height: text(f.heightIn),
    sealGap: text(f.sealGapIn),
    pocket: text(f.pocketIn),
    coilGap: text(f.coilGapIn),
    shims: kept(f.shims ?? "", unit),
    retainer: f.retainer ?? "",
    locks: kept(f.locks ?? "", unit),
    locator: f.locator ?? "",
  });
  const inch = (typed: string, was: number | undefined) =>
    untouched(was, text, (v) => readHeight(v, unit))(typed);
  const [picked, setPicked] = useState(0);
  const way = pocket.ways[picked];
  const now = { curve: pocket.curve, liftIn: pocket.liftIn };
  useEffect(() => box.current?.select(), []);
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/fittings/{id}", {
          params: { path: { id: pocket.fittingId } },
          body: {
            ...f,
            heightIn: inch(t.height, f.heightIn),
            sealGapIn: inch(t.sealGap, f.sealGapIn),
            pocketIn: inch(t.pocket, f.pocketIn),
            coilGapIn: inch(t.coilGap, f.coilGapIn),
            shims: named(t.shims, unit) || undefined,
            retainer: t.retainer || undefined,
            locks: named(t.locks, unit) || undefined,
            locator: t.locator || undefined,
            hand,
            why: "measured in its pocket",
          },
        }),
      ),
    onSuccess: async () => {
      await askedAnew();
      onNext();
    },
  });
  const problem = keep.error instanceof ApiProblem ? keep.error : undefined;
  const unread = FIGURES.filter((k) => t[k].trim() !== "" && readHeight(t[k], unit) === undefined);
  const error = (field: string, key: (typeof FIGURES)[number]) =>
    unread.includes(key)
      ? `"${t[key]}" is no measure: 1.950`
      : problem?.errors.find((e) => e.field === field)?.message;
  const words = (key: "shims" | "retainer" | "locks" | "locator", label: string, hint?: string) => (
    <Field label={label} hint={hint} value={t[key]} onChange={(e) => setT({ ...t, [key]: e.target.value })} />
  );
  const submit = (e: FormEvent) => {
    e.preventDefault();
    if (unread.length === 0) keep.mutate();
  };
  return (
    <form className="scribed grid content-start gap-3 rounded p-4" aria-label="Pocket" onSubmit={submit}>
      <div className="grid gap-4 min-[760px]:grid-cols-2">
        <div className="grid content-start gap-2">
          <h2 className="flex items-baseline gap-3 text-4xl font-extrabold" data-valve-now>
            {pocket.position}
            <span className="text-base font-medium text-muted">
              {pocket.mark}, wanted{" "}
              <b className="num text-xl text-ink">{heightText(pocket.targetIn, unit)}</b>
            </span>
          </h2>
          <label className="grid gap-1 text-lg font-semibold text-accent">
            Installed height, {heightUnit(unit)}
            <input
              ref={box}
              value={t.height}
              inputMode="decimal"
              autoComplete="off"
              aria-invalid={Boolean(error("heightIn", "height"))}
              onChange={(e) => setT({ ...t, height: e.target.value })}
              className="num h-24 w-full rounded border-2 border-accent bg-raised px-4 text-7xl text-ink aria-invalid:border-tight"
            />
          </label>
          {error("heightIn", "height") && (
            <p role="alert" className="font-semibold text-tight">
              ✕ {error("heightIn", "height")}
            </p>
          )}
          <p>
            <b className="num text-2xl">{loadText(pocket.fit.seatLbf, unit, 0)}</b> closed,{" "}
            <b className="num text-2xl">{loadText(pocket.fit.openLbf, unit, 0)}</b> {loadUnit(unit)} open
            {pocket.fit.bindClearanceIn !== undefined && (
              <>
                , <b className="num text-2xl">{heightText(pocket.fit.bindClearanceIn, unit)}</b> to bind
              </>
            )}
          </p>
          <Button look="now" type="submit" className="text-xl">
            Keep, next valve ⏎
          </Button>
        </div>
        <LoadDrawing
          springs={[
            { ...now, name: "as measured", fit: pocket.fit, main: true },
            ...(way ? [{ ...now, name: wayText(way.way, unit), fit: way.fit }] : []),
          ]}
        />
      </div>
      <PocketRemarks fit={pocket.fit} links={pocket.links} />
      {!pocket.within && !pocket.stack && (
        <Notice tone="ask">
          Out of tolerance, but "{f.shims}" does not say how thick the shims are: write their figures, and
          Shim says what to take out or put in.
        </Notice>
      )}
      {way && <PocketWays pocket={pocket} picked={picked} onPick={setPicked} />}
      <div className="grid grid-cols-2 gap-3 min-[760px]:grid-cols-4">
        {words("shims", "Shims, from the bottom", "0.015 0.030")}
        {words("retainer", "Retainer")}
        {words("locks", "Locks", "+0.050, −0.050, plain")}
        {words("locator", "Locator")}
        <Field
          label={`Retainer to seal, closed, ${heightUnit(unit)}`}
          value={t.sealGap}
          inputMode="decimal"
          onChange={(e) => setT({ ...t, sealGap: e.target.value })}
          error={error("sealGapIn", "sealGap")}
        />
        <Field
          label={`Pocket diameter, ${heightUnit(unit)}`}
          value={t.pocket}
          inputMode="decimal"
          onChange={(e) => setT({ ...t, pocket: e.target.value })}
          error={error("pocketIn", "pocket")}
        />
        <Field
          label={`Lowest coils, open, ${heightUnit(unit)}`}
          hint="gap by feeler, if you check it"
          value={t.coilGap}
          inputMode="decimal"
          onChange={(e) => setT({ ...t, coilGap: e.target.value })}
          error={error("coilGapIn", "coilGap")}
        />
        <Initials
          value={hand}
          onChange={setHand}
          error={problem?.errors.find((e) => e.field === "hand")?.message}
        />
      </div>
      {problem && problem.errors.length === 0 && <Notice tone="stop">{problem.message}</Notice>}
    </form>
  );
}
