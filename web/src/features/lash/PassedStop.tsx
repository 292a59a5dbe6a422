import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import type { Schemas, Valve } from "../../api/client";
import { pastStop } from "../../api/queries";
import { Button } from "../../ui/Button";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import type { Round } from "./useRound";

interface PassedStopProps {
  round: Round;
  stop: Schemas["StopView"];
  onSet: (valve: Valve, crankDeg: number) => void;
  onRound: () => void;
}

/** The crank went past: set what may be set where it stands, or go round; never turn back. */
export function PassedStop({ round, stop, onSet, onRound }: PassedStopProps) {
  const [past, setPast] = useState("20");
  const by = Number(past.replace(",", "."));
  const good = Number.isFinite(by) && by >= 0 && by < 720;
  const crankDeg = (stop.crankDeg + (good ? by : 0)) % 720;
  const answer = useQuery(pastStop(round.id, crankDeg, stop.crankDeg)).data;
  return (
    <section className="scribed flex flex-col gap-4 rounded p-4" aria-label="Went past">
      <Notice tone="care">
        Do not turn back: the slack in the drive would hide where the cam stands. Set what may be set here, or
        go round.
      </Notice>
      <div className="w-56">
        <Field
          label="How far past, about, °"
          value={past}
          inputMode="decimal"
          autoFocus
          className="num text-4xl"
          onChange={(e) => setPast(e.target.value)}
          error={good ? undefined : "0 to 720 degrees"}
        />
      </div>
      {good && answer && (
        <>
          <div>
            <h2 className="mb-1 text-lg">
              {answer.settableHere.length > 0
                ? "May be set where it stands, and is still to do"
                : "Nothing left to do may be set here."}
            </h2>
            <div className="flex flex-wrap gap-2">
              {answer.settableHere.map((s) => (
                <Button key={s.position} onClick={() => onSet(s.position, crankDeg)}>
                  <strong className="text-lg">{s.position}</strong>
                  <span className="num text-muted">{Math.round(s.slackDeg)}° slack</span>
                </Button>
              ))}
            </div>
          </div>
          <Button look="now" onClick={onRound}>
            Go round: bar {Math.round(answer.roundDeg)}° on to stop {stop.number}
          </Button>
        </>
      )}
    </section>
  );
}
