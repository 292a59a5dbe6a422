import type { JobStep } from "./steps";

/** For tests: a step of a walk. */
export const step = (act: JobStep["act"], more: Partial<JobStep> = {}): JobStep => ({
  id: act,
  act,
  title: act,
  look: [],
  ...more,
});
