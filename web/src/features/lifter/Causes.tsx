import type { Schemas } from "../../api/client";
import { UnknownInitials } from "../../shell/Initials";
import { Button } from "../../ui/Button";
import { LEVELS } from "./levels";
import type { Look, Seen } from "./useSeen";

type Story = Schemas["ValveStory"];

interface CausesProps {
  story: Story;
  onSeen: (seen: Seen) => void;
}

/** Likely causes with what speaks for and against each, and what to look at next, cheapest first. */
export function Causes({ story, onSeen }: CausesProps) {
  if (story.causes.length === 0) {
    return <p className="text-muted">Nothing it shows asks for a cause.</p>;
  }
  const open = story.causes.filter((c) => !c.ruledOut);
  const out = story.causes.filter((c) => c.ruledOut);
  return (
    <div className="grid gap-3 min-[1180px]:grid-cols-2">
      <div className="grid content-start gap-2">
        <h3 className="text-base">What may be behind it</h3>
        {open.map((c) => (
          <Suspect key={c.cause} cause={c} />
        ))}
        {out.length > 0 && (
          <p className="text-sm text-muted">Ruled out: {out.map((c) => c.cause).join("; ")}</p>
        )}
      </div>
      <div className="grid content-start gap-2">
        <h3 className="text-base">Look at next, cheapest first</h3>
        <UnknownInitials />
        {story.looks.length === 0 && <p className="text-muted">No further check would help.</p>}
        {story.looks.slice(0, 4).map((l, i) => (
          <NextLook
            key={l.look.look}
            next={l}
            first={i === 0}
            onGrade={(grade) => onSeen(placed(l.look, story, grade))}
          />
        ))}
        {story.looks.length > 4 && (
          <p className="text-sm text-muted">
            Then:{" "}
            {story.looks
              .slice(4)
              .map((l) => l.look.title)
              .join(", ")}
          </p>
        )}
      </div>
    </div>
  );
}

function placed(look: Look, story: Story, grade: string): Seen {
  const valve = story.valve.position;
  return {
    look: look.look,
    grade,
    valve: look.where === "VALVE" ? valve : undefined,
    cylinder: look.where === "CYLINDER" ? Number.parseInt(valve, 10) : undefined,
  };
}

function Suspect({ cause }: { cause: Story["causes"][number] }) {
  const percent = Math.round(cause.share * 100);
  return (
    <details className="rounded border border-hair px-3" open={percent >= 40}>
      <summary className="grid min-h-11 cursor-pointer grid-cols-[1fr_7rem_3.5rem] items-center gap-3">
        <span className="font-semibold">{cause.cause}</span>
        <span className="h-2.5 rounded bg-hair" aria-hidden>
          <span className="block h-full rounded bg-accent" style={{ width: `${Math.max(2, percent)}%` }} />
        </span>
        <span className="num text-right text-xl">{percent}%</span>
      </summary>
      <ul className="pb-2 text-sm">
        {cause.saysFor.map((w) => (
          <li key={w}>+ {w}</li>
        ))}
        {cause.saysAgainst.map((w) => (
          <li key={w} className="text-muted">
            − {w}
          </li>
        ))}
      </ul>
    </details>
  );
}

interface NextLookProps {
  next: Story["looks"][number];
  first: boolean;
  onGrade: (word: string) => void;
}

/** One look: how to make it, what each finding would say, and one key for each finding. */
function NextLook({ next, first, onGrade }: NextLookProps) {
  const { look } = next;
  return (
    <div className={`rounded border p-3 ${first ? "border-2 border-accent" : "border-hair"}`}>
      <p>
        <strong className={first ? "text-accent" : ""}>{look.title}</strong>{" "}
        <span className="text-muted">
          {look.minutes} min: {look.how}
        </span>
      </p>
      <ul className="my-1 text-sm text-muted">
        {next.tells.slice(0, 3).map((t) => (
          <li key={t}>{t}</li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-2">
        {look.grades.map((g) => (
          <Button key={g.word} onClick={() => onGrade(g.word)} title={g.means}>
            <span aria-hidden>{LEVELS[g.level].shape}</span> {g.word}
          </Button>
        ))}
      </div>
    </div>
  );
}
