import { lanes, type Task, type Turnaround } from "./board";
import { NowCard, ThenLine } from "./TaskCard";

/** Hand by hand: the one thing to do now, and what comes then. */
export function Hands({ turnaround: t, onEdit }: { turnaround: Turnaround; onEdit: (x: Task) => void }) {
  return (
    <div className="grid grid-cols-[repeat(auto-fit,minmax(17rem,1fr))] items-start gap-3">
      {lanes(t).map((l) => {
        const now = l.at ?? l.now;
        return (
          <section key={l.hand} className="scribed grid gap-2 rounded p-3" aria-label={l.hand}>
            <h3 className="text-xl">{l.hand}</h3>
            {now ? (
              <NowCard planned={now} turnaround={t} onEdit={onEdit} />
            ) : (
              <p className="text-muted">{t.plan ? "nothing to do" : "one moment …"}</p>
            )}
            <ul>
              {l.later.slice(0, 4).map((p) => (
                <ThenLine key={p.task.id} planned={p} turnaround={t} onEdit={onEdit} />
              ))}
              {l.later.length > 4 && (
                <li className="border-t border-hair py-2 text-muted">and {l.later.length - 4} more</li>
              )}
            </ul>
          </section>
        );
      })}
    </div>
  );
}
