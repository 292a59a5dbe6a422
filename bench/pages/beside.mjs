// Opens pages of this Shim and of another build of it in turns, on a processor made four times slower:
//   node bench/pages/beside.mjs ../another-tree [--write]    the last keeps the table in docs/bench/beside.md
import puppeteer from "puppeteer-core";
import { demo } from "../demo.mjs";
import { middle, tell } from "../tell.mjs";
import { CHROMIUM, pages } from "./pages.mjs";

const PAIRS = 7;
const SLOWER = 4;
const AT_REST_MS = 6000;
const tree = process.argv[2];
if (!tree) throw new Error("name the folder of another build of Shim");

/** When the largest content came, how long the page could not answer, and what its processor did. */
async function open(address) {
  const browser = await puppeteer.launch({ executablePath: "/usr/bin/chromium", args: CHROMIUM });
  try {
    const page = await browser.newPage();
    await page.setViewport({ width: 412, height: 823, deviceScaleFactor: 1.75, isMobile: true });
    await page.evaluateOnNewDocument(() => {
      const seen = { largest: 0, blocked: 0 };
      globalThis.seen = seen;
      const watch = (type, each) =>
        new PerformanceObserver((list) => list.getEntries().forEach(each)).observe({ type, buffered: true });
      watch("largest-contentful-paint", (e) => (seen.largest = e.startTime));
      watch("longtask", (e) => (seen.blocked += e.duration - 50));
    });
    await page.emulateCPUThrottling(SLOWER);
    await page.goto(address);
    await new Promise((done) => setTimeout(done, AT_REST_MS));
    const { TaskDuration, ScriptDuration, LayoutDuration } = await page.metrics();
    const seen = await page.evaluate(() => globalThis.seen);
    return { ...seen, all: TaskDuration * 1000, script: ScriptDuration * 1000, layout: LayoutDuration * 1000 };
  } finally {
    await browser.close();
  }
}

const [there, here] = [await demo(tree), await demo()];
try {
  const [before, now] = [await pages(there.base), await pages(here.base)];
  const rows = ["page | what | other, ms | this, ms | times, of pairs", "---|---|---|---|---"];
  for (const name of Object.keys(now)) {
    const pairs = [];
    for (let i = 0; i < PAIRS; i++) {
      pairs.push([await open(there.base + before[name]), await open(here.base + now[name])]);
    }
    for (const what of Object.keys(pairs[0][0])) {
      const of = (side) => Math.round(middle(pairs.map((pair) => pair[side][what])));
      const times = middle(pairs.map(([a, b]) => b[what] / a[what]));
      rows.push([name, what, of(0), of(1), times.toFixed(2)].join(" | "));
    }
  }
  tell("beside", rows.join("\n"));
} finally {
  await there.end();
  await here.end();
}
