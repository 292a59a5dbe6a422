import { useQuery } from "@tanstack/react-query";
import { useNavigate, useParams } from "@tanstack/react-router";
import { useState } from "react";
import * as z from "zod";
import { answered, api, type Schemas } from "../../api/client";
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
import { useEntry } from "../../ui/useEntry";
import { hours, hoursText } from "../../units/boxes";

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

const START = z.object({
  hand: z.string(),
  engineHours: hours(),
  place: z.enum(["HEAD", "BENCH"]),
  state: z.enum(["COLD", "HOT"]),
  order: z.enum(["FIRING", "BANK", "STOPS"]),
  tester: z.string(),
  repeats: z.enum(["1", "2", "3"]),
});

/** Who, where, with which tester, in which order. */
function Begin({ engineId, known }: { engineId: string; known: Schemas["EngineSprings"] }) {
  const navigate = useNavigate();
  const settings = useSettings();
  const [id] = useState(() => newId());
  const last = known.tests.at(-1);
  const [order, keepOrder] = useKept<Start["order"]>("shim.testOrder", () => "FIRING");
  const [tester, keepTester] = useKept<string>("shim.tester", () => last?.tester ?? "");
  const [repeats, keepRepeats] = useKept<"1" | "2" | "3">("shim.repeats", () => "2");
  const { form, box, choice, submit, trouble } = useEntry({
    schema: START,
    first: {
      hand: settings.hand,
      engineHours: hoursText(known.engineHours),
      place: "HEAD" as const,
      state: last?.state ?? ("COLD" as const),
      order,
      tester,
      repeats,
    },
    send: (read) =>
      answered(
        api.PUT("/api/spring-tests/{id}", {
          params: { path: { id } },
          body: { engineId, ...read, repeats: Number(read.repeats) },
        }),
      ),
    remember: (typed) => {
      keepOrder(typed.order);
      keepTester(typed.tester);
      keepRepeats(typed.repeats);
    },
    kept: (_, read) => {
      settings.setHand(read.hand);
      void navigate({ to: "/tests/$id", params: { id } });
    },
  });
  const { place, state } = form.watch();
  return (
    <form className="mx-auto w-full max-w-3xl p-3" onSubmit={submit}>
      <section className="scribed grid gap-4 rounded p-4">
        <h2 className="text-xl">Test springs</h2>
        <div className="grid grid-cols-2 gap-3">
          <Initials first {...choice("hand")} error={box("hand").error} />
          <Field
            label="Engine hours now"
            inputMode="decimal"
            className="num text-xl"
            {...box("engineHours")}
          />
        </div>
        <div className="grid gap-3 min-[700px]:grid-cols-2">
          <Choice
            label="Where"
            {...choice("place")}
            options={[
              ["HEAD", "on the head"],
              ["BENCH", "on the bench"],
            ]}
          />
          <Choice
            label="The springs are"
            {...choice("state")}
            options={[
              ["COLD", "cold"],
              ["HOT", "hot"],
            ]}
          />
          <Choice
            label="Working order"
            {...choice("order")}
            options={[
              ["FIRING", "firing order"],
              ["BANK", "bank by bank"],
              ["STOPS", "as the lash round"],
            ]}
          />
          <Choice
            label="Readings of each spring"
            {...choice("repeats")}
            options={[
              ["1", "1"],
              ["2", "2"],
              ["3", "3"],
            ]}
          />
        </div>
        <Field label="Tester" {...box("tester")} />
        {place === "HEAD" && (
          <Notice tone="care">
            Cylinder air off: with air on, the reading is high by pressure times valve area. Ignition off and
            plugs out before anyone bars the crank.
          </Notice>
        )}
        {state !== (last?.state ?? state) && (
          <Notice tone="ask">
            The last test was {last?.state.toLowerCase()}. Hot and cold readings are kept apart: these will
            not stand on the same line.
          </Notice>
        )}
        {trouble && <Notice tone="stop">{trouble}</Notice>}
        <Button look="now" type="submit" className="text-xl">
          Begin with the check spring
        </Button>
      </section>
    </form>
  );
}
