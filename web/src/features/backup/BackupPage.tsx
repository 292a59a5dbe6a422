import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { Download } from "lucide-react";
import { useState } from "react";
import { askedAnew } from "../../api/anew";
import { answered, api, type Schemas, wordsOf } from "../../api/client";
import { backups } from "../../api/queries";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { Button, buttonClass } from "../../ui/Button";
import { useLongWork } from "../../ui/LongWork";
import { Notice } from "../../ui/Notice";
import { megabytes } from "../../units/bytes";

/** Everything in one file, by one press or by the clock; and the way back. */
export function BackupPage() {
  const query = useQuery(backups());
  if (query.error && !query.data) return <Problem error={query.error} />;
  if (!query.data) return <Waiting />;
  return (
    <div className="mx-auto grid w-full max-w-4xl gap-4 p-4">
      <h1 className="text-2xl">Backup</h1>
      <MakePart all={query.data} />
      <RestorePart />
      <p>
        <Link to="/engines" className={buttonClass("quiet")}>
          To the engines
        </Link>
      </p>
    </div>
  );
}

const addressOf = (name: string) => `/api/backups/${name}`;

/** The browser saves it as if its link had been pressed. */
function save(name: string) {
  Object.assign(document.createElement("a"), { href: addressOf(name), download: name }).click();
}

function MakePart({ all }: { all: Schemas["Overview"] }) {
  const last = all.kept.at(0);
  const make = useLongWork((_: undefined, headers) => answered(api.POST("/api/backups", { headers })), {
    onSuccess: (made) => save(made.name),
  });
  return (
    <section className="scribed grid gap-3 rounded p-4" aria-label="Back up">
      <p className="text-lg">
        {last ? (
          <>
            Last backup <strong>{new Date(last.madeAt).toLocaleString()}</strong>, {megabytes(last.bytes)}
          </>
        ) : (
          "No backup has been made yet."
        )}
      </p>
      <p>
        <Button
          look="now"
          className="text-xl"
          disabled={make.isPending}
          onClick={() => make.begin(undefined)}
        >
          <Download aria-hidden className="size-6" /> Back up now
        </Button>
      </p>
      {make.far}
      {make.error && <Notice tone="stop">{wordsOf(make.error)}</Notice>}
      <p className="text-muted">
        One file with all engines, readings, history and photos. Put it on another machine or a stick.{" "}
        {all.everyHours > 0
          ? `Shim makes one by itself every ${all.everyHours} h while something changes, and keeps ${all.keep}, in ${all.folder}.`
          : "Automatic backups are off."}
      </p>
      {all.trouble && <Notice tone="stop">The last automatic backup failed: {all.trouble}</Notice>}
      {all.kept.length > 0 && (
        <ul aria-label="Backups that are kept">
          {all.kept.map((b) => (
            <li key={b.name} className="flex min-h-11 flex-wrap items-center gap-x-4 border-t border-hair">
              <span className="num flex-1 text-lg">{new Date(b.madeAt).toLocaleString()}</span>
              <span className="num text-muted">{megabytes(b.bytes)}</span>
              <a href={addressOf(b.name)} download className={buttonClass("quiet")}>
                Save this one
              </a>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** Checked first, with what it holds; only then a press replaces anything. */
function RestorePart() {
  const queries = useQueryClient();
  const [done, setDone] = useState(false);
  const check = useLongWork(
    (file: File, followed, signal) =>
      answered(
        api.POST("/api/restore-check", {
          body: file as never,
          bodySerializer: (b: unknown) => b as Blob,
          headers: { "Content-Type": "application/zip", ...followed },
          signal,
        }),
      ),
    { onMutate: () => setDone(false) },
  );
  const put = useLongWork(
    (id: string, headers) => answered(api.PUT("/api/restore/{id}", { params: { path: { id } }, headers })),
    {
      onSuccess: () => {
        check.reset();
        setDone(true);
        queries.removeQueries({ type: "inactive" });
        return askedAnew();
      },
    },
  );
  const leave = useMutation({
    mutationFn: (id: string) => answered(api.DELETE("/api/restore/{id}", { params: { path: { id } } })),
    onSettled: () => check.reset(),
  });
  const found = check.data;
  const error = put.error ?? check.error;
  return (
    <section className="scribed grid gap-3 rounded p-4" aria-label="Put a backup back">
      <h2 className="text-xl">Put a backup back</h2>
      <p className="text-muted">The file is read through first. Nothing is replaced until you say so.</p>
      <p>
        <label className={buttonClass()}>
          {check.isPending ? "Reading it through …" : "Choose the file"}
          <input
            type="file"
            accept=".zip,application/zip"
            className="sr-only"
            disabled={check.isPending}
            onClick={(e) => {
              e.currentTarget.value = "";
            }}
            onChange={(e) => {
              const file = e.target.files?.[0];
              if (file) check.begin(file);
            }}
          />
        </label>
      </p>
      {check.far}
      {error && <Notice tone="stop">{wordsOf(error)}</Notice>}
      {found && (
        <Notice tone="ask">
          <p className="text-lg">
            Whole and readable, made <strong>{new Date(found.holds.madeAt).toLocaleString()}</strong>: engines{" "}
            <b className="num text-2xl">{found.holds.engines}</b>, rounds{" "}
            <b className="num text-2xl">{found.holds.rounds}</b>, spring tests{" "}
            <b className="num text-2xl">{found.holds.tests}</b>, photos{" "}
            <b className="num text-2xl">{found.holds.photos}</b>.
          </p>
          <p>
            It takes the place of all that is here now, for everybody. What is here now is kept aside in the
            folder “replaced”.
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            <Button look="now" disabled={put.isPending} onClick={() => put.begin(found.id)}>
              {put.isPending ? "Putting it in place …" : "Put it in place"}
            </Button>
            <Button disabled={put.isPending} onClick={() => leave.mutate(found.id)}>
              Leave all as it is
            </Button>
          </div>
          {put.far}
        </Notice>
      )}
      {done && <Notice tone="know">The backup is in place.</Notice>}
    </section>
  );
}
