import { Link } from "@tanstack/react-router";
import { useSettings } from "../../shell/settings";
import { Button, buttonClass } from "../../ui/Button";
import { Notice } from "../../ui/Notice";
import { percentText } from "../../units/load";
import type { SpringTest, useSpringTest } from "./useSpringTest";
import { askText, dayText } from "./words";

interface TestDoneProps {
  test: SpringTest;
  work: ReturnType<typeof useSpringTest>;
  onCheck: () => void;
}

/** All read: what stands out, then the end. */
export function TestDone({ test, work, onCheck }: TestDoneProps) {
  const { unit } = useSettings();
  const asked = test.valves.filter((v) => v.ask);
  const unread = test.valves.filter((v) => v.readings.length === 0);
  const lost = [...test.valves]
    .filter((v) => v.loss !== undefined)
    .sort((a, b) => (b.againstSet ?? 0) - (a.againstSet ?? 0));
  return (
    <section className="scribed grid gap-3 rounded p-4" aria-label="End of test">
      <h2 className="text-xl">{test.endedAt ? "This test is over" : "All read"}</h2>
      {test.day && <p>{dayText(test.day)}</p>}
      {!test.day && (
        <Notice tone="ask">
          No check spring was read: the loss of the whole set stays uncertain, the comparison within it does
          not.
        </Notice>
      )}
      {unread.length > 0 && <Notice tone="ask">Not read: {unread.map((v) => v.position).join(" ")}</Notice>}
      {asked.map((v) => (
        <Notice key={v.position} tone="care">
          {v.position}: {v.ask && askText(v.ask, unit)}
        </Notice>
      ))}
      <ul>
        {lost.slice(0, 4).map((v) => (
          <li key={v.position} className="flex gap-4 border-t border-hair py-1">
            <strong className="w-10">{v.position}</strong>
            <span className="num text-lg">{percentText(v.loss)} %</span>
            <span className="text-muted">{percentText(v.againstSet)} points from its set</span>
          </li>
        ))}
      </ul>
      {work.end.error && <Notice tone="stop">{work.end.error.message}</Notice>}
      <div className="flex flex-wrap gap-2">
        {!test.endedAt && (
          <Button
            look="now"
            className="text-xl"
            disabled={work.end.isPending}
            onClick={() => work.end.mutate()}
          >
            {work.end.isPending && work.parcels.length > 0
              ? `${work.parcels.length} still on the way …`
              : "End the test"}
          </Button>
        )}
        {!test.endedAt && <Button onClick={onCheck}>Read the check spring</Button>}
        {test.roundId && (
          <Link
            to="/rounds/$id/end"
            params={{ id: test.roundId }}
            className={buttonClass(test.endedAt ? "now" : "plain")}
          >
            To the end of the round
          </Link>
        )}
        <Link
          to="/engines/$id/springs"
          params={{ id: test.engineId }}
          className={buttonClass(test.endedAt && !test.roundId ? "now" : "plain")}
        >
          What it says
        </Link>
      </div>
    </section>
  );
}
