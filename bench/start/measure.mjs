// Starts Shim on an empty folder and an empty application with the same libraries, five times each by turns.
//   node bench/start/measure.mjs [--write]      the second keeps what it found in docs/bench/start.md
import { execFileSync, spawnSync } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { middle, ROOT, tell } from "../tell.mjs";

const PAIRS = 5;

execFileSync("mvn", ["-B", "-ntp", "-q", "-f", join(ROOT, "bench/start/pom.xml"), "package"], { stdio: "inherit" });

function timed(args) {
  const began = process.hrtime.bigint();
  const { status } = spawnSync("java", args, { cwd: ROOT, stdio: "ignore" });
  if (status !== 0) throw new Error(`java ${args.join(" ")} ended with ${status}`);
  return Number(process.hrtime.bigint() - began) / 1e9;
}

function shim() {
  const folder = mkdtempSync(join(tmpdir(), "shim-start-"));
  const took = timed(["-Dshim.ends-when-ready=true", "@app/java.args", "start", "--port=0", `--data=${folder}`]);
  rmSync(folder, { recursive: true, force: true });
  return took;
}

const ours = [];
const empty = [];
for (let i = 0; i < PAIRS; i++) {
  empty.push(timed(["-jar", "bench/start/target/shim-empty-1.jar"]));
  ours.push(shim());
}
const told = [
  `Shim starts in ${middle(ours).toFixed(1)} s, an empty application with the same libraries, started as a plain jar, in ${middle(empty).toFixed(1)} s: ${(middle(ours) / middle(empty)).toFixed(2)} times (middle of ${PAIRS} pairs in one run on this machine).`,
  "",
  "pair | empty, s | Shim, s",
  "---|---|---",
  ...ours.map((o, i) => `${i + 1} | ${empty[i].toFixed(1)} | ${o.toFixed(1)}`),
].join("\n");
tell("start", told);
