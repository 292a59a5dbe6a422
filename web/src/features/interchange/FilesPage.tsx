import { useParams } from "@tanstack/react-router";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { MarkIcon, type SpringVerdict } from "../../plan/verdict";
import { EngineFrame } from "../../shell/EngineFrame";
import { Initials } from "../../shell/Initials";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { useLongWork } from "../../ui/LongWork";
import { Notice } from "../../ui/Notice";
import { percentText } from "../../units/load";
import { EngineFilePart } from "./EngineFilePart";
import { FILE_BOX } from "./fileBox";

/** An engine's files: out as they are, in with a look first. */
export function FilesPage() {
  const { id } = useParams({ from: "/engines/$id/setup/files" });
  return (
    <EngineFrame id={id}>
      {(engine) => (
        <div className="grid content-start items-start gap-3 p-3 min-[1000px]:grid-cols-2">
          <NotebookPart engineId={engine.id} />
          <section className="scribed grid gap-3 rounded p-4" aria-label="Export and import">
            <h2 className="text-xl">Export and import</h2>
            <a className={buttonClass()} href={`/api/engines/${engine.id}/spring-readings`} download>
              All spring readings, CSV
            </a>
            <a className={buttonClass()} href={`/api/engines/${engine.id}/file`} download>
              This engine with everything, JSON
            </a>
            <EngineFilePart />
            <p className="text-muted">Both come back in without loss, here or in another Shim.</p>
          </section>
        </div>
      )}
    </EngineFrame>
  );
}

const EXAMPLE = "date;engine_hours;valve;height_in;load\n2026-05-10;1.2;1I;1.950;216.5";

function NotebookPart({ engineId }: { engineId: string }) {
  const { hand, setHand } = useSettings();
  const [text, setText] = useState("");
  const take = useLongWork((keep: boolean, followed, signal) =>
    answered(
      api.POST("/api/engines/{id}/spring-readings", {
        params: { path: { id: engineId }, query: { hand, keep } },
        body: text,
        bodySerializer: (b: string) => b,
        headers: { "Content-Type": "text/csv", ...followed },
        signal,
      }),
    ),
  );
  const problem = take.error instanceof ApiProblem ? take.error : undefined;
  const seen = take.data;
  return (
    <section className="scribed grid gap-3 rounded p-4" aria-label="Readings from a notebook">
      <h2 className="text-xl">Readings from an old notebook</h2>
      <p className="text-muted">
        One line a reading, the first line names the columns, in any order; comma or semicolon, decimal point
        or comma. A check spring's line has its known load in known_lbf. First you see what Shim would say.
      </p>
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-muted">Table</span>
        <textarea
          value={text}
          rows={10}
          placeholder={EXAMPLE}
          onChange={(e) => {
            setText(e.target.value);
            take.reset();
          }}
          className="w-full rounded border border-hair bg-raised p-2 font-mono text-sm"
        />
      </label>
      <label className="grid gap-1">
        <span className="text-sm font-semibold text-muted">Or from a file</span>
        <input
          type="file"
          accept=".csv,.txt,text/csv"
          className={FILE_BOX}
          onChange={(e) => void e.target.files?.[0]?.text().then(setText)}
        />
      </label>
      <Initials value={hand} onChange={setHand} />
      {problem && (
        <Notice tone="stop">
          <p className="font-semibold">{problem.message}</p>
          {problem.errors.slice(0, 8).map((e) => (
            <p key={e.field + e.message}>{e.message}</p>
          ))}
        </Notice>
      )}
      {take.far}
      {seen && <Preview seen={seen} />}
      <div className="flex gap-2">
        <Button
          look={seen ? "plain" : "now"}
          disabled={text.trim() === "" || take.isPending}
          onClick={() => take.begin(false)}
        >
          Look at it
        </Button>
        <Button
          look={seen ? "now" : "plain"}
          disabled={!seen || seen.kept || take.isPending}
          onClick={() => take.begin(true)}
        >
          Keep it
        </Button>
      </div>
    </section>
  );
}

function Preview({ seen }: { seen: Schemas["NotebookPreview"] }) {
  const apart = seen.said.filter((s) => s.verdict !== "RUN");
  return (
    <div className="grid gap-1" role="status">
      <p className="font-semibold">
        {seen.lines} lines in {seen.tests.length} tests. {seen.kept ? "Kept." : "Nothing is kept yet."}
      </p>
      <p className="text-muted">
        {seen.kept ? "Shim says:" : "Shim would say:"} {seen.said.length - apart.length} run
        {apart.length > 0 && ", and"}
      </p>
      {apart.map((s) => (
        <p key={s.position} className="flex items-start gap-2">
          <MarkIcon mark={s.verdict as SpringVerdict} size={20} />
          <span>
            <strong>{s.position}</strong> {s.lossNow !== undefined && `${percentText(s.lossNow)} %: `}
            {s.because}
          </span>
        </p>
      ))}
    </div>
  );
}
