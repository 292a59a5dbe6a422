import { useQuery } from "@tanstack/react-query";
import { useParams } from "@tanstack/react-router";
import { useState } from "react";
import { headSprings, springTypes } from "../../api/queries";
import { Waiting } from "../../shell/EngineFrame";
import { Problem } from "../../shell/Problem";
import { Select } from "../../ui/Field";
import { Notice } from "../../ui/Notice";
import { BoxSort } from "../spring/BoxSort";
import { HeadName } from "./HeadName";
import { useHead } from "./useHead";

/** A box of springs sorted over bare heads, each valve with what the chosen kind takes there. */
export function HeadBoxPage() {
  const { id } = useParams({ from: "/heads/$id/box" });
  const { head, error } = useHead(id);
  const choice = useQuery(headSprings(id));
  const types = useQuery(springTypes());
  const [chosen, setChosen] = useState<string>();
  const trouble = error ?? choice.error ?? types.error;
  if (!head || !choice.data || !types.data) return trouble ? <Problem error={trouble} /> : <Waiting />;
  const best = choice.data.kinds.find((k) => k.kind.id === chosen) ?? choice.data.kinds[0];
  const type = types.data.find((t) => t.id === best?.kind.id);
  if (!best || !type || best.at.length === 0) {
    return (
      <div className="p-4">
        <Notice tone="know">
          Measure the heights of these heads first, and write down a kind of spring.
        </Notice>
      </div>
    );
  }
  return (
    <>
      <div className="flex flex-wrap items-end gap-4 px-3 pt-3">
        <h1 className="text-lg">
          <HeadName head={head} />
        </h1>
        <Select
          label="Kind of spring"
          value={type.id}
          onChange={(e) => setChosen(e.target.value)}
          options={choice.data.kinds.map((k) => [k.kind.id, k.kind.type.name] as const)}
        />
      </div>
      <BoxSort
        key={type.id}
        name={`${id}.${type.id}`}
        layout={head.layout}
        sheet={type.sheet}
        pockets={best.at.map((a) => ({
          position: a.valve,
          // Its own retainer, locks and cup stay; only shims are chosen anew.
          heightIn: a.way.heightIn + a.way.shimsIn.reduce((x, y) => x + y, 0),
          diameterIn:
            typeof a.fit.pocketPlayIn === "number" && type.sheet.odIn !== undefined
              ? a.fit.pocketPlayIn + type.sheet.odIn
              : 0,
        }))}
        unclear={[]}
        targetIn={best.kind.type.referenceHeightIn}
        toleranceIn={choice.data.toleranceIn}
        shimsIn={choice.data.shimsIn}
        limits={choice.data.clearances}
      />
    </>
  );
}
