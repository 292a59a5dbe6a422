import { useQuery, useQueryClient } from "@tanstack/react-query";
import { encoder as encoderQuery } from "../../api/camQueries";
import { answered, api } from "../../api/client";
import { Needle } from "../device/Needle";
import { usePlaced } from "../device/usePlaced";
import { degText } from "./camWords";
import type { What } from "./useSitting";
import { useTakeKey } from "./useTakeKey";

interface EncoderPartProps {
  what: What;
  heightIn: number;
  nobody: boolean;
  onTake: (deg: number) => void;
}

/** A crank encoder in the wheel's place; T takes what it shows while the box is empty. */
export function EncoderPart({ what, heightIn, nobody, onTake }: EncoderPartProps) {
  const queries = useQueryClient();
  const now = usePlaced(useQuery(encoderQuery(true)), `${what} ${heightIn}`, () =>
    api.PUT("/api/encoder/place", { body: { reading: what, heightIn } }),
  );
  const take = () => {
    if (now?.steady && !nobody) onTake(now.wheelDeg);
  };
  useTakeKey(take);
  return (
    <Needle
      noun="encoder"
      now={now}
      text={degText(now?.wheelDeg)}
      unit=""
      onTake={take}
      nobody={nobody}
      connect={(to) => answered(api.PUT("/api/encoder", { body: to }))}
      onConnected={(d) => queries.setQueryData(encoderQuery(true).queryKey, d)}
    />
  );
}
