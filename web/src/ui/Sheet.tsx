import { later } from "./later";
import type { SheetOpenProps } from "./SheetOpen";

const SheetOpen = later(() => import("./SheetOpen"), "SheetOpen");

/** Something to answer before the work goes on. */
export function Sheet({ open, ...sheet }: SheetOpenProps & { open: boolean }) {
  return open && <SheetOpen {...sheet} />;
}
