import { useQuery } from "@tanstack/react-query";
import { HardDrive, Unplug } from "lucide-react";
import { condition } from "../api/queries";

const BAR = "flex min-h-12 items-center gap-x-3 border-b-4 bg-plate px-3 py-1 text-lg font-bold";

/** What everybody should know of the machine Shim runs on, on every page while it is so. */
export function ConditionBanner() {
  const query = useQuery(condition());
  if (query.isError) {
    return (
      <div role="status" className={`${BAR} border-hair text-muted`}>
        <Unplug aria-hidden className="size-6 shrink-0" />
        <span>
          Shim does not answer: what is shown was seen before. Go on; what is entered waits on this device.
        </span>
      </div>
    );
  }
  if (query.data?.storeFailed && !query.data.diskFull) {
    return (
      <div role="alert" className={`${BAR} border-tight`}>
        <HardDrive aria-hidden className="size-6 shrink-0" />
        <span>
          Shim's database is being opened anew after a fault of the disk. What is entered waits on this
          device.
        </span>
      </div>
    );
  }
  if (!query.data?.diskFull) return null;
  return (
    <div role="alert" className={`${BAR} border-tight`}>
      <HardDrive aria-hidden className="size-6 shrink-0" />
      <span>
        The disk of the machine that runs Shim is full: nothing is kept there until there is room. What is
        entered waits on this device and is sent by itself.
      </span>
    </div>
  );
}
