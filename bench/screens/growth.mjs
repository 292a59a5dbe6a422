// What a screen costs with ten times the records: a demo's engine is grown to 10 rounds and 6 tests, and to 100 and 60,
// taken in as engines of their own, and asked for with nothing kept. Ten times is as it should be; more is not. In
// turns with it, on a copy of its folder, plain SQL for the same rows and core's work on them (shim.bench.BareScreens).
//   node bench/screens/growth.mjs [--write]      the last keeps the table in docs/bench/growth.md
import { execFileSync, spawn } from "node:child_process";
import { randomUUID } from "node:crypto";
import { cpSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { createInterface } from "node:readline";
import { demo, json, mainEngine, put, timed } from "../demo.mjs";
import { middle, ROOT, tell } from "../tell.mjs";

const SIZES = [
  { rounds: 10, tests: 6 },
  { rounds: 100, tests: 60 },
];
const TIMES = 7;
const PAIRS = 30;
const WARM_UP = 20;
const SCREENS = ["hours", "rounds", "lash-history", "lash-drift", "readiness", "springs", "lifters", "cam", "file"];
const UUID = /^[\da-f]{8}-[\da-f]{4}-[\da-f]{4}-[\da-f]{4}-[\da-f]{12}$/;
const TIME = /^\d{4}-\d\d-\d\dT[\d:.]+Z$/;

/** As Shim itself is run, all but its archive of classes, so that only what stands around the work differs. */
const FLAGS = readFileSync(join(ROOT, "app/java.args"), "utf8")
  .split("\n")
  .filter((l) => l.startsWith("-XX:") && !l.startsWith("-XX:SharedArchiveFile"));

/** A copy under ids of its own; what it speaks of that is not in it is looked up in `known`. */
function renamed(part, known, own, days, hours) {
  const id = (was) => known.get(was) ?? own.get(was) ?? own.set(was, randomUUID()).get(was);
  const walk = (x, key) => {
    if (Array.isArray(x)) return x.map((y) => walk(y));
    if (x && typeof x === "object") return Object.fromEntries(Object.entries(x).map(([k, v]) => [k, walk(v, k)]));
    if (typeof x === "string" && UUID.test(x)) return id(x);
    if (typeof x === "string" && TIME.test(x)) return new Date(Date.parse(x) + days * 86_400_000).toISOString();
    return key === "engineHours" ? x + hours : x;
  };
  return walk(part);
}

/** So many of a kind, the last of them as they were and the others before them, in days and in hours. */
function grown(parts, count, known, copies) {
  const span = Math.max(...parts.map((p) => p.start.engineHours)) + 0.5;
  const all = [];
  for (let back = copies - 1; back >= 0; back--) {
    const own = new Map();
    for (const p of parts) all.push(renamed(p, known, own, -back * 160, (copies - 1 - back) * span));
  }
  return all.slice(-count);
}

execFileSync("mvn", "-B -ntp -q -pl bench -am package -DskipTests -Dspotless.check.skip=true".split(" "), {
  cwd: ROOT,
  stdio: "inherit",
});
const { base, folder, stop, again, end } = await demo();
const file = await json(fetch(`${base}/api/engines/${await mainEngine(base)}/file`));

/** How long a screen's call takes that is computed anew. */
async function computed(address) {
  const { ms, status } = await timed(address, { headers: { "Cache-Control": "no-store" } });
  if (status !== 200) throw new Error(`${address}: ${status}`);
  return ms;
}

const took = [];
const engines = [];
for (const { rounds, tests } of SIZES) {
  const known = new Map([[file.id, randomUUID()]]);
  const { lashRounds, springTests, jobs, openItems, ...rest } = file;
  const own = renamed(rest, known, known, 0, 0);
  const copies = Math.max(Math.ceil(rounds / file.lashRounds.length), Math.ceil(tests / springTests.length));
  own.sheet.name = `Hill V8 of ${rounds} rounds`;
  own.lashRounds = grown(lashRounds, rounds, known, copies);
  own.springTests = grown(springTests, tests, known, copies);
  const began = performance.now();
  const { id } = await json(put(`${base}/api/engine-files`, own));
  const imported = performance.now() - began;
  const screens = {};
  for (const s of SCREENS) {
    const all = [];
    for (let i = 0; i < TIMES + 3; i++) all.push(await computed(`${base}/api/engines/${id}/${s}`));
    screens[s] = middle(all.slice(3));
  }
  took.push({ import: imported, ...screens });
  engines.push(id);
}

/** Plain SQL and core on a copy of a folder: asked as Shim is, answers in milliseconds. */
function bareOf(copy) {
  const java = spawn("java", [...FLAGS, "-cp", "bench/target/shim-bench.jar", "shim.bench.BareScreens", copy], {
    cwd: ROOT,
    stdio: ["pipe", "pipe", "inherit"],
  });
  const lines = createInterface(java.stdout)[Symbol.asyncIterator]();
  const ask = async (screen, engine) => {
    java.stdin.write(`${screen} ${engine}\n`);
    const { value, done } = await lines.next();
    if (done) throw new Error(`${screen} cannot be asked without Shim`);
    return Number(value);
  };
  return { ask, end: () => java.stdin.end() };
}

await stop();
const copy = `${folder}-bare`;
cpSync(folder, copy, { recursive: true });
const anew = await again();
const bare = bareOf(copy);

/** Lifters and readiness rest on both, so the two together are the least they cost. */
const LEAST = {
  springs: ["springs"],
  "lash-drift": ["lash-drift"],
  lifters: ["springs", "lash-drift"],
  readiness: ["springs", "lash-drift"],
};

/** A screen asked of Shim and without it, in turns: the middle of the least, and of the ratios. */
async function beside(screen, engine) {
  const pairs = [];
  while (pairs.length < WARM_UP + PAIRS) {
    const shim = await computed(`${anew}/api/engines/${engine}/${screen}`);
    let least = 0;
    for (const part of LEAST[screen]) least += await bare.ask(part, engine);
    pairs.push({ least, times: shim / least });
  }
  const of = (what) => middle(pairs.slice(WARM_UP).map((p) => p[what]));
  return `${of("least").toFixed(1)} | ${of("times").toFixed(1)}`;
}

const besides = [];
for (const screen of Object.keys(LEAST)) {
  const each = [];
  for (const engine of engines) each.push(await beside(screen, engine));
  besides.push([screen, ...each].join(" | "));
}
bare.end();
await end();
rmSync(copy, { recursive: true, force: true });

const [small, big] = took;
const grew = (s) => (big[s] / small[s]).toFixed(1);
const told = [
  "what | 10 rounds, 6 tests, ms | 100 rounds, 60 tests, ms | times",
  "---|---|---|---",
  ...["import", ...SCREENS].map((s) => `${s} | ${small[s].toFixed(0)} | ${big[s].toFixed(0)} | ${grew(s)}`),
  "",
  `Against plain SQL for the same rows and core's work on them, asked in turns on a copy of the folder, with the same flags of Java (middle of ${PAIRS} pairs); for lifters and readiness those of springs and lash-drift added up, the least they need:`,
  "",
  "what | bare, 10 rounds, ms | Shim, times | bare, 100 rounds, ms | Shim, times",
  "---|---|---|---|---",
  ...besides,
].join("\n");
tell("growth", told);
