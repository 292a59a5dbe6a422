import { useState } from "react";
import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { measureText } from "../../units/measures";
import { FILE_BOX } from "../interchange/fileBox";
import { LoggerColumns } from "./LoggerColumns";

type Understood = Schemas["Understood"];
type Chosen = Schemas["Chosen"];

/** Sends a file and reports how far it is; `fetch` cannot tell that. */
function send(file: File, chosen: Chosen | undefined, onPart: (share: number) => void): Promise<Understood> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open("POST", `/api/calc/logger?${chosen ? queryOf(chosen) : ""}`);
    request.setRequestHeader("Content-Type", "text/csv");
    request.upload.onprogress = (e) => onPart(e.loaded / e.total);
    request.onerror = () => reject(new Error("Shim does not answer: is it still running?"));
    request.onload = () => {
      const answer = JSON.parse(request.responseText) as Understood & { detail?: string };
      if (request.status === 200) resolve(answer);
      else reject(new Error(answer.detail ?? "the file could not be read"));
    };
    request.send(file);
  });
}

const ASK: Record<NonNullable<Understood["ask"]>, string> = {
  COLUMNS: "No title says which column is time and which is engine speed: choose them.",
  TIME_UNIT: "Time has no unit, and as seconds nearly all of it would be gaps: is it milliseconds?",
};

const queryOf = (c: Chosen) =>
  new URLSearchParams(
    Object.entries({ time: c.time, rpm: c.rpm, heat: c.heat, timeUnit: c.unit, celsius: c.celsius })
      .filter(([, v]) => v !== undefined)
      .map(([k, v]) => [k, String(v)]),
  ).toString();

/** A logger's file: what was understood, before anything is kept. */
export function LoggerPart({
  onUnderstood,
}: {
  onUnderstood: (sum: NonNullable<Understood["sum"]>) => void;
}) {
  const { unit } = useSettings();
  const [share, setShare] = useState<number>();
  const [read, setRead] = useState<Understood>();
  const [trouble, setTrouble] = useState<string>();
  const [file, setFile] = useState<File>();
  const open = async (file: File | undefined, chosen?: Chosen) => {
    if (!file) return;
    setFile(file);
    setTrouble(undefined);
    if (!chosen) setRead(undefined);
    setShare(0);
    try {
      setRead(await send(file, chosen, setShare));
    } catch (e) {
      setTrouble((e as Error).message);
    } finally {
      setShare(undefined);
    }
  };
  const sum = read?.sum;
  return (
    <div className="grid gap-2 border-t border-hair pt-2">
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-muted">Or read a run from a logger's CSV</span>
        <input
          type="file"
          accept=".csv,.txt,text/csv"
          className={FILE_BOX}
          onChange={(e) => void open(e.target.files?.[0])}
        />
      </label>
      {share !== undefined && (
        <progress className="w-full" value={share} max={1} aria-label="Reading the file" />
      )}
      {trouble && <Notice tone="stop">{trouble}</Notice>}
      {read && (
        <div className="grid gap-1">
          {read.ask ? (
            <Notice tone="ask">{ASK[read.ask]}</Notice>
          ) : (
            <p className="text-muted">{read.words}</p>
          )}
          <LoggerColumns
            key={file?.name}
            titles={read.titles}
            chosen={read.chosen}
            asked={read.ask !== undefined}
            onChosen={(chosen) => void open(file, chosen)}
          />
        </div>
      )}
      {sum && (
        <div className="grid gap-1">
          <p>
            <b className="num text-xl">{(sum.hours * 60).toFixed(1)}</b> min running,{" "}
            <b className="num text-xl">{Math.round(sum.cycles)}</b> cycles, top{" "}
            <b className="num text-xl">{Math.round(sum.topRpm)}</b> rpm,{" "}
            <b className="num text-xl">{sum.overRevs}</b> over-revs
            {sum.hottest !== undefined && `, hottest ${measureText("warmth", sum.hottest, unit)}`}
          </p>
          <p className="text-muted">
            {sum.rows} rows, {sum.gaps} gaps, {sum.spikes} spikes left out.{" "}
            {sum.bands
              .filter((b) => b.fromRpm % 1000 === 0 && b.fromRpm >= 3000)
              .map((b) => `over ${b.fromRpm}: ${Math.round(b.seconds)} s`)
              .join(", ")}
          </p>
          <Button onClick={() => onUnderstood(sum)}>Take it as the next run</Button>
        </div>
      )}
    </div>
  );
}
