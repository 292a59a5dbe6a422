import { useMutation, useQuery } from "@tanstack/react-query";
import { useNavigate, useParams } from "@tanstack/react-router";
import { useState } from "react";
import { ApiProblem, answered, api, type Schemas } from "../../api/client";
import { newId } from "../../api/ids";
import { engineSprings } from "../../api/queries";
import { EngineFrame, Waiting } from "../../shell/EngineFrame";
import { Initials } from "../../shell/Initials";
import { Problem } from "../../shell/Problem";
import { useKept, useSettings } from "../../shell/settings";
import { Button } from "../../ui/Button";
import { Choice } from "../../ui/Choice";
import { Field } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { readNumber } from "../../units/load";

type Start = Schemas["TestStart"];

export function TestStartPage() {
  const { id } = useParams({ from: "/engines/$id/test" });
  const query = useQuery(engineSprings(id));
  return (
    <EngineFrame id={id}>
      {() =>
        query.error ? (
          <Problem error={query.error} />
        ) : query.data ? (
          <Begin engineId={id} known={query.data} />
        ) : (
          <Waiting />
        )
      }
    </EngineFrame>
  );
}

/** Who, where, with which tester, in which order. */
function Begin({ engineId, known }: { engineId: string; known: Schemas["EngineSprings"] }) {
  const navigate = useNavigate();
  const settings = useSettings();
  const [id] = useState(() => newId());
  const [hand, setHand] = useState(settings.hand);
  const [hours, setHours] = useState(String(Math.round(known.engineHours * 100) / 100));
  const [place, setPlace] = useState<Start["place"]>("HEAD");
  const [state, setState] = useState<Start["state"]>(known.tests.at(-1)?.state ?? "COLD");
  const [order, setOrder] = useKept<Start["order"]>("shim.testOrder", () => "FIRING");
  const [tester, setTester] = useKept<string>("shim.tester", () => known.tests.at(-1)?.tester ?? "");
  const [repeats, setRepeats] = useKept<"1" | "2" | "3">("shim.repeats", () => "2");
  const begin = useMutation({
    mutationFn: () =>
      answered(
        api.PUT("/api/spring-tests/{id}", {
          params: { path: { id } },
          body: {
            engineId,
            engineHours: readNumber(hours) ?? Number.NaN,
            place,
            state,
            order,
            tester,
            repeats: Number(repeats),
            hand,
          },
        }),
      ),
    onSuccess: () => {
      settings.setHand(hand);
      void navigate({ to: "/tests/$id", params: { id } });
    },
  });
  const problem = begin.error instanceof ApiProblem ? begin.error : undefined;
  const error = (f: string) => problem?.errors.find((e) => e.field === f)?.message;
  return (
    <form
      className="mx-auto w-full max-w-3xl p-3"
      onSubmit={(e) => {
        e.preventDefault();
        begin.mutate();
      }}
    >
      <section className="scribed grid gap-4 rounded p-4">
        <h2 className="text-xl">Test springs</h2>
        <div className="grid grid-cols-2 gap-3">
          <Initials first value={hand} onChange={setHand} error={error("hand")} />
          <Field
            label="Engine hours now"
            value={hours}
            inputMode="decimal"
            className="num text-xl"
            onChange={(e) => setHours(e.target.value)}
            error={
              error("engineHours") ?? (Number.isNaN(readNumber(hours) ?? Number.NaN) ? "a number" : undefined)
            }
          />
        </div>
        <div className="grid gap-3 min-[700px]:grid-cols-2">
          <Choice
            label="Where"
            value={place}
            onChange={setPlace}
            options={[
              ["HEAD", "on the head"],
              ["BENCH", "on the bench"],
            ]}
          />
          <Choice
            label="The springs are"
            value={state}
            onChange={setState}
            options={[
              ["COLD", "cold"],
              ["HOT", "hot"],
            ]}
          />
          <Choice
            label="Working order"
            value={order}
            onChange={setOrder}
            options={[
              ["FIRING", "firing order"],
              ["BANK", "bank by bank"],
              ["STOPS", "as the lash round"],
            ]}
          />
          <Choice
            label="Readings of each spring"
            value={repeats}
            onChange={setRepeats}
            options={[
              ["1", "1"],
              ["2", "2"],
              ["3", "3"],
            ]}
          />
        </div>
        <Field
          label="Tester"
          value={tester}
          onChange={(e) => setTester(e.target.value)}
          error={error("tester")}
        />
        {place === "HEAD" && (
          <Notice tone="care">
            Cylinder air off: with air on, the reading is high by pressure times valve area. Ignition off and
            plugs out before anyone bars the crank.
          </Notice>
        )}
        {state !== (known.tests.at(-1)?.state ?? state) && (
          <Notice tone="ask">
            The last test was {known.tests.at(-1)?.state.toLowerCase()}. Hot and cold readings are kept apart:
            these will not stand on the same line.
          </Notice>
        )}
        {problem && problem.errors.length === 0 && <Notice tone="stop">{problem.message}</Notice>}
        {error("engineId") && <Notice tone="stop">{error("engineId")}</Notice>}
        <Button look="now" type="submit" className="text-xl">
          Begin with the check spring
        </Button>
      </section>
    </form>
  );
}
