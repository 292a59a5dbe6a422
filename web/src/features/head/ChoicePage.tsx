import { useQuery } from "@tanstack/react-query";
import { Link, useParams } from "@tanstack/react-router";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { headSprings } from "../../api/queries";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { heightText, heightUnit, loadText, loadUnit } from "../../units/load";
import { say } from "../../words/said";
import { KitForm } from "../spring/KitForm";
import { breakInWords, partsWords, VERDICTS, waysWords } from "./choiceWords";
import { HeadName } from "./HeadName";
import { span } from "./measures";
import { useHead } from "./useHead";

type Ranked = Schemas["Ranked"];

/** Which spring for these heads and this cam: all kinds, ranked, and why not. */
export function ChoicePage() {
  const { id } = useParams({ from: "/heads/$id/springs" });
  const { head, error } = useHead(id);
  const query = useQuery(headSprings(id));
  const [kit, setKit] = useState<Ranked>();
  const trouble = error ?? query.error;
  if (!head || !query.data) return trouble ? <Problem error={trouble} /> : <Waiting />;
  const { kinds } = query.data;
  const unmeasured = head.measures.find((m) => m.what === "HEIGHT")?.missing ?? 0;
  return (
    <div className="grid gap-3 p-3">
      <div className="flex flex-wrap items-center gap-2">
        <div className="min-w-72 flex-1">
          <h1 className="text-2xl">
            <HeadName head={head} />: which spring?
          </h1>
          <p className="text-muted">
            every kind on record, each with its own retainers, locks, cups and the shims to hand, on the cam
            of {head.madeForName}
          </p>
        </div>
        <Link to="/heads/$id/order" params={{ id }} className={buttonClass("quiet")}>
          Sheet for ordering
        </Link>
        <Link to="/heads/$id/assemble" params={{ id }} className={buttonClass("now")}>
          Assemble them
        </Link>
      </div>
      {unmeasured > 0 && (
        <Notice tone="ask">
          {unmeasured} heights are not measured: the ranking holds for the others.{" "}
          <Link to="/heads/$id/measure" params={{ id }}>
            Measure them
          </Link>
        </Notice>
      )}
      {kinds.length === 0 && (
        <Notice tone="know">
          No kind of spring is on record yet: write one down at an engine, under Set-up.
        </Notice>
      )}
      <ol className="grid gap-3">
        {kinds.map((k, i) => (
          <Kind key={k.kind.id} ranked={k} place={i + 1} onKit={() => setKit(k)} />
        ))}
      </ol>
      {kit && <KitForm typeId={kit.kind.id} name={kit.kind.type.name} onClose={() => setKit(undefined)} />}
    </div>
  );
}

interface KindProps {
  ranked: Ranked;
  place: number;
  onKit: () => void;
}

function Kind({ ranked, place, onKit }: KindProps) {
  const { unit } = useSettings();
  const { kind, verdict, at, reasons, breakIn } = ranked;
  const v = VERDICTS[verdict];
  const figures: [string, string][] = [
    [
      "Height",
      `${span(
        at.map((a) => a.way.heightIn),
        (x) => heightText(x, unit),
      )} ${heightUnit(unit)}`,
    ],
    [
      "Closed",
      `${span(
        at.map((a) => a.fit.seatLbf),
        (x) => loadText(x, unit, 0),
      )} ${loadUnit(unit)}`,
    ],
    [
      "Open",
      `${span(
        at.map((a) => a.fit.openLbf),
        (x) => loadText(x, unit, 0),
      )} ${loadUnit(unit)}`,
    ],
    ["To bind, least", leastText(at.map((a) => least(a.fit.bindClearanceIn, a.ringBindIn)))],
    ["To seal, least", leastText(at.map((a) => a.fit.sealClearanceIn))],
    ["In stock", `${kind.inStock} of ${at.length}`],
    ["To pay", kind.price === undefined ? "–" : String(ranked.cost ?? 0)],
  ];
  function leastText(of: Maybe[]) {
    const known = of.filter((x) => typeof x === "number");
    return known.length === 0 ? "–" : `${heightText(Math.min(...known), unit)} ${heightUnit(unit)}`;
  }
  return (
    <li className="scribed grid gap-2 rounded p-3" aria-label={kind.type.name}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span className="num text-2xl text-muted">{place}</span>
        <h2 className="text-xl">{kind.type.name}</h2>
        <span className={`text-lg font-bold ${v.tone}`}>
          {v.sign} {v.words}
        </span>
        <span className="flex-1" />
        <Button look="quiet" onClick={onKit}>
          Retainers, locks, cups
        </Button>
      </div>
      {at.length > 0 && (
        <dl className="grid grid-cols-2 gap-x-6 min-[700px]:grid-cols-4 min-[1100px]:grid-cols-7">
          {figures.map(([name, value]) => (
            <div key={name} className="border-t border-hair">
              <dt className="text-sm text-muted">{name}</dt>
              <dd className="num text-lg">{value}</dd>
            </div>
          ))}
        </dl>
      )}
      {reasons.length > 0 && (
        <ul>
          {reasons.map((a) => (
            <li key={`${a.said.code}${a.said.name}`} className={a.weight === "KNOW" ? "text-muted" : ""}>
              {a.weight === "STOP" ? "✕" : a.weight === "ASK" ? "?" : "·"} {say(a.said, unit)}
              <span className="text-muted">
                {a.valves.length === at.length
                  ? ", at every valve"
                  : a.valves.length > 0 && `: ${a.valves.join(" ")}`}
              </span>
            </li>
          ))}
        </ul>
      )}
      {at.length > 0 && (
        <p className="text-muted">
          {waysWords(at, unit)}
          {partsWords(at)}
        </p>
      )}
      {breakIn && <p>{breakInWords(breakIn, unit)}</p>}
    </li>
  );
}

/** A figure that may not be known. */
type Maybe = number | undefined | null;

function least(a: Maybe, b: Maybe): Maybe {
  if (typeof a !== "number" || typeof b !== "number") return a ?? b;
  return Math.min(a, b);
}
