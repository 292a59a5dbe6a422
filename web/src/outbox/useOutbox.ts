import { useSyncExternalStore } from "react";
import { subscribe, waiting } from "./outbox";
import type { Parcel } from "./parcel";

/** Everything that waits on this device, in the order it was entered. */
export const useWaiting = (): readonly Parcel[] => useSyncExternalStore(subscribe, waiting);

/** Those that were sent and came back, or could not be sent at all: a person should know. */
export const late = (parcels: readonly Parcel[]): readonly Parcel[] => parcels.filter((p) => p.last);
