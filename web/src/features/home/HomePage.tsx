import { PlanPage } from "../turnaround/PlanPage";
import { FirstEngine } from "./FirstEngine";

/** Until there is an engine: what to do first. Then the plan until the truck leaves. */
export function HomePage() {
  return <PlanPage first={<FirstEngine />} />;
}
