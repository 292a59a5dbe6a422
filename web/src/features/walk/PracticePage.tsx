import { useQuery } from "@tanstack/react-query";
import { Link } from "@tanstack/react-router";
import { useState } from "react";
import type { Schemas } from "../../api/client";
import { practice } from "../../api/queries";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { Button, buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { ElsePart } from "./ElsePart";
import { StepPanel } from "./StepPanel";
import type { Act } from "./useJob";

type Move = Schemas["PracticeMove"];

/** The walk with an invented engine where things go wrong; nothing is kept. */
export function PracticePage() {
  const [moves, setMoves] = useState<Move[]>([]);
  const query = useQuery(practice(moves));
  if (query.error && !query.data) return <Problem error={query.error} />;
  if (!query.data) return <Waiting />;
  const { state, now, last, refused, right, wrong } = query.data;
  const add = (m: Move) => setMoves([...moves, m]);
  const act = (a: Act) => add({ act: { ...a, hand: "you", basedOn: 0 } });
  const next = state.next;
  return (
    <div className="mx-auto flex w-full max-w-4xl flex-1 flex-col gap-3 p-3">
      <header className="flex flex-wrap items-center gap-4">
        <h1 className="flex-1 text-xl">
          Practice: 3E and 3I of an invented engine, on air. Nothing here is kept.
        </h1>
        <p className="text-muted">
          right <span className="num text-2xl text-ink">{right}</span>, mistakes{" "}
          <span className="num text-2xl text-ink">{wrong}</span>
        </p>
      </header>
      {last && (
        <Notice tone={last.right ? "know" : "stop"}>
          <strong>{last.right ? "Right. " : "No. "}</strong>
          {last.why}
        </Notice>
      )}
      {state.end !== "OPEN" ? (
        <Over mistakes={wrong} onAgain={() => setMoves([])} />
      ) : now ? (
        <section className="scribed grid gap-4 rounded p-5" aria-label="What now">
          <h2 className="text-3xl font-extrabold">{now.happens}</h2>
          <div className="grid gap-2">
            {now.choices.map((words, i) => (
              <Button
                key={words}
                className="min-h-16 justify-start text-left text-lg"
                autoFocus={i === 0}
                onClick={() => add({ surprise: now.id, choice: i })}
              >
                <span className="num text-2xl">{i + 1}</span> {words}
              </Button>
            ))}
          </div>
        </section>
      ) : (
        next && (
          <>
            <StepPanel
              key={`${next.id} ${state.acts}`}
              step={next}
              then={state.then}
              number={state.steps.filter((s) => s.done).length + 1}
              of={state.steps.length}
              trouble={refused}
              busy={query.isFetching}
              sets={state.sets ?? "LASH"}
              onDo={(figure, word) =>
                act({
                  act: next.act,
                  step: next.id,
                  cylinder: next.cylinder,
                  valve: next.valve,
                  figure,
                  word,
                })
              }
            />
            <ElsePart others={state.otherwise} onDo={act} />
            <Coming steps={state.steps} />
          </>
        )
      )}
    </div>
  );
}

/** What comes after it, as far as an upright screen has room. */
function Coming({ steps }: { steps: Schemas["WalkStep"][] }) {
  const coming = steps.filter((s) => !s.done).slice(2, 9);
  return (
    <section className="scribed flex-1 rounded p-5 landscape:hidden" aria-label="What comes">
      <h2 className="text-xl text-muted">Then, one by one</h2>
      <ol>
        {coming.map(({ step }) => (
          <li key={step.id} className="border-t border-hair py-2 text-lg">
            {step.title}
          </li>
        ))}
      </ol>
    </section>
  );
}

function Over({ mistakes, onAgain }: { mistakes: number; onAgain: () => void }) {
  return (
    <section className="scribed grid gap-4 rounded p-5" aria-label="End of practice">
      <h2 className="text-3xl">
        {mistakes === 0 ? "Through, without a mistake" : `Through, with ${mistakes} mistakes explained`}
      </h2>
      <div className="flex gap-2">
        <Button look="now" onClick={onAgain}>
          Once more
        </Button>
        <Link to="/engines" className={buttonClass()}>
          To the engines
        </Link>
      </div>
    </section>
  );
}
