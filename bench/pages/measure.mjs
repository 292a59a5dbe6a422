// Looks at five pages as a tablet does: Lighthouse's mobile preset in headless Chromium, on a demo of its own.
//   node bench/pages/measure.mjs            prints a table
//   node bench/pages/measure.mjs --hold     and fails where a page weighs, shifts or keeps out more than it may
//   node bench/pages/measure.mjs --write    and keeps the table in docs/bench/pages.md
import { launch } from "chrome-launcher";
import lighthouse from "lighthouse";
import { demo } from "../demo.mjs";
import { tell } from "../tell.mjs";
import { CHROMIUM, pages } from "./pages.mjs";

// The same on every machine; times are not, so they are told and never held.
const HOLD = process.argv.includes("--hold");
// Home shows a plan that is made while one looks, so its shift hangs by the machine.
const HELD = ["round"];
const MOST = { script: 215_000, all: 330_000, shift: 0.02, accessibility: 100 };

/** A browser on a busy machine may fail to answer at all: that is no fault of the page. */
async function look(name, address, tries = 3) {
  try {
    return await once(name, address);
  } catch (fault) {
    if (tries === 1) throw fault;
    return look(name, address, tries - 1);
  }
}

async function once(name, address) {
  const chrome = await launch({ chromePath: "/usr/bin/chromium", chromeFlags: CHROMIUM });
  try {
    const { lhr } = await lighthouse(address, {
      port: chrome.port,
      onlyCategories: ["performance", "accessibility"],
    });
    if (lhr.runtimeError) throw new Error(lhr.runtimeError.message);
    const { audits, categories, environment } = lhr;
    const sent = audits["network-requests"].details.items;
    const bytes = (of) => sent.filter(of).reduce((sum, r) => sum + r.transferSize, 0);
    return {
      name,
      performance: Math.round(categories.performance.score * 100),
      accessibility: Math.round(categories.accessibility.score * 100),
      first: audits["first-contentful-paint"].numericValue,
      largest: audits["largest-contentful-paint"].numericValue,
      blocking: audits["total-blocking-time"].numericValue,
      shift: audits["cumulative-layout-shift"].numericValue,
      script: bytes((r) => r.resourceType === "Script"),
      all: bytes(() => true),
      machine: environment.benchmarkIndex,
      faults: categories.accessibility.auditRefs
        .map((r) => audits[r.id])
        .filter((a) => a.score !== null && a.score < 1)
        .map((a) => a.title),
    };
  } finally {
    chrome.kill();
  }
}

const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`;
const kB = (bytes) => `${Math.round(bytes / 1000)} kB`;

function table(found) {
  const rows = found.map((f) =>
    [
      f.name,
      f.performance,
      f.accessibility,
      seconds(f.first),
      seconds(f.largest),
      `${Math.round(f.blocking)} ms`,
      f.shift.toFixed(3),
      kB(f.script),
      kB(f.all),
      Math.round(f.machine),
    ].join(" | "),
  );
  return [
    "page | performance | accessibility | first content | largest | blocked | shift | script | all | machine",
    "---|---|---|---|---|---|---|---|---|---",
    ...rows,
  ].join("\n");
}

function trouble(found) {
  return found.flatMap((f) => [
    ...["script", "all", "shift"].filter((k) => f[k] > MOST[k]).map((k) => `${f.name}: ${k} ${f[k]}, at most ${MOST[k]}`),
    ...(f.accessibility < MOST.accessibility ? [`${f.name}: ${f.faults.join("; ")}`] : []),
  ]);
}

const { base, end } = await demo();
try {
  const found = [];
  const all = Object.entries(await pages(base)).filter(([name]) => !HOLD || HELD.includes(name));
  for (const [name, path] of all) found.push(await look(name, base + path));
  tell("pages", table(found));
  const over = HOLD ? trouble(found) : [];
  for (const words of over) console.error(words);
  process.exitCode = over.length > 0 ? 1 : 0;
} finally {
  await end();
}
