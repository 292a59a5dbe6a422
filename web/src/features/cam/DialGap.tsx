import { useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api } from "../../api/client";
import { dial as dialQuery } from "../../api/queries";
import { useSettings } from "../../shell/settings";
import { heightText, heightUnit } from "../../units/load";
import { Needle } from "../device/Needle";
import { usePlaced } from "../device/usePlaced";
import { useTakeKey } from "./useTakeKey";

interface DialGapProps {
  valve: string;
  nobody: boolean;
  onTake: (gapIn: number) => void;
}

/** A dial on the retainer: how far the valve was moved on; T takes it while the box is empty. */
export function DialGap({ valve, nobody, onTake }: DialGapProps) {
  const { unit } = useSettings();
  const queries = useQueryClient();
  const now = usePlaced(useQuery(dialQuery(true)), `GAP-${valve}`, () =>
    api.PUT("/api/dial/place", { body: { place: `GAP-${valve}` } }),
  );
  const take = () => {
    if (now?.steady && !nobody) onTake(now.liftIn);
  };
  useTakeKey(take);
  return (
    <Needle
      noun="dial"
      now={now}
      text={heightText(now?.liftIn, unit)}
      unit={heightUnit(unit)}
      onTake={take}
      nobody={nobody}
      connect={(to) => answered(api.PUT("/api/dial", { body: to }))}
      onConnected={(d) => queries.setQueryData(dialQuery(true).queryKey, d)}
    />
  );
}
