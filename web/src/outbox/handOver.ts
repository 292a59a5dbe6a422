import * as v from "valibot";
import { type Parcel, parcelSchema } from "./parcel";

const file = v.object({ shim: v.literal("waiting"), parcels: v.array(parcelSchema) });

/** Gives what waits to a person as a file, to be sent from another device. Photos stay here. */
export function handOver(parcels: readonly Parcel[]) {
  const text = JSON.stringify({ shim: "waiting", parcels }, null, 1);
  const link = document.createElement("a");
  link.href = URL.createObjectURL(new Blob([text], { type: "application/json" }));
  link.download = "shim-waiting.json";
  link.click();
  URL.revokeObjectURL(link.href);
}

/** Reads such a file; throws in words. */
export function readHandedOver(text: string): Parcel[] {
  try {
    return v.parse(file, JSON.parse(text)).parcels.map((p) => ({ ...p, held: false }));
  } catch {
    throw new Error("this is no file that a Shim page has handed over");
  }
}
