import { HeldParcels } from "../../outbox/HeldParcels";
import { Notice } from "../../ui/Notice";
import { CheckPanel } from "../fatigue/CheckPanel";
import { LoadPanel } from "../fatigue/LoadPanel";
import { habitText } from "../fatigue/words";
import type { OnePass } from "./useOnePass";

interface SpringStopProps {
  pass: OnePass;
  onDone: () => void;
  onMove: (by: number) => void;
}

/** The spring at the stop where its lash was just read, with the crank left where it is. */
export function SpringStop({ pass, onDone, onMove }: SpringStopProps) {
  const { work, test, spring } = pass;
  return (
    <>
      <HeldParcels parcels={work.parcels} />
      {test.day?.warning && <Notice tone="care">{habitText(test.day.warning)}</Notice>}
      {pass.wantsCheck ? (
        <CheckPanel test={test} side="START" work={work} onPass={pass.passCheck} onDone={pass.passCheck} />
      ) : (
        spring && (
          <LoadPanel
            key={spring.position}
            test={test}
            valve={spring}
            again={Boolean(spring.ask) && spring.readings.length > 0}
            work={work}
            onKept={(now) => {
              if (!pass.wants(spring.position, now)) onDone();
            }}
            onMove={onMove}
            onSkip={onDone}
            onEnd={() => {
              pass.stop();
              onDone();
            }}
          />
        )
      )}
    </>
  );
}
