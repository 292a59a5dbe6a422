import { useState } from "react";
import type { Schemas } from "../../api/client";
import { useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { measureText } from "../../units/measures";
import { FILE_BOX } from "../interchange/fileBox";

type Understood = Schemas["Understood"];

/** Sends a file and reports how far it is; `fetch` cannot tell that. */
function send(file: File, onPart: (share: number) => void): Promise<Understood> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    request.open("POST", "/api/calc/logger");
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

/** A logger's file: what was understood, before anything is kept. */
export function LoggerPart({ onUnderstood }: { onUnderstood: (sum: Understood["sum"]) => void }) {
  const { unit } = useSettings();
  const [share, setShare] = useState<number>();
  const [read, setRead] = useState<Understood>();
  const [trouble, setTrouble] = useState<string>();
  const open = async (file: File | undefined) => {
    if (!file) return;
    setTrouble(undefined);
    setRead(undefined);
    setShare(0);
    try {
      setRead(await send(file, setShare));
    } catch (e) {
      setTrouble((e as Error).message);
    } finally {
      setShare(undefined);
    }
  };
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
          <p className="text-muted">{read.words}</p>
          <p>
            <b className="num text-xl">{(read.sum.hours * 60).toFixed(1)}</b> min running,{" "}
            <b className="num text-xl">{Math.round(read.sum.cycles)}</b> cycles, top{" "}
            <b className="num text-xl">{Math.round(read.sum.topRpm)}</b> rpm,{" "}
            <b className="num text-xl">{read.sum.overRevs}</b> over-revs
            {read.sum.hottest !== undefined && `, hottest ${measureText("warmth", read.sum.hottest, unit)}`}
          </p>
          <p className="text-muted">
            {read.sum.rows} rows, {read.sum.gaps} gaps, {read.sum.spikes} spikes left out.{" "}
            {read.sum.bands
              .filter((b) => b.fromRpm % 1000 === 0 && b.fromRpm >= 3000)
              .map((b) => `over ${b.fromRpm}: ${Math.round(b.seconds)} s`)
              .join(", ")}
          </p>
          <Button onClick={() => onUnderstood(read.sum)}>Take it as the next run</Button>
        </div>
      )}
    </div>
  );
}
