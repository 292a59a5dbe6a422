// What all that is measured has in common: the order of its figures, and where its table goes.
import { writeFileSync } from "node:fs";
import { join } from "node:path";

export const ROOT = new URL("..", import.meta.url).pathname;

/** The figure below which this share of all of them lies. */
export const at = (all, share) =>
  [...all].sort((a, b) => a - b)[Math.min(all.length - 1, Math.floor(all.length * share))];

export const middle = (all) => at(all, 0.5);

/** Prints a table; with --write it is kept in docs/bench too. */
export function tell(name, told) {
  console.log(told);
  if (process.argv.includes("--write")) writeFileSync(join(ROOT, `docs/bench/${name}.md`), `${told}\n`);
}
