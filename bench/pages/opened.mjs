// How soon a tablet shows the round: at its first visit, at a later one, and when the link is pressed in Shim.
// A processor four times slower; a line of 1.6 Mbit/s on which each call waits 150 ms.
//   node bench/pages/opened.mjs [--write]      the last keeps the table in docs/bench/opened.md
import puppeteer from "puppeteer-core";
import { demo, engineAndRound } from "../demo.mjs";
import { at, middle, tell } from "../tell.mjs";
import { CHROMIUM } from "./pages.mjs";

const TIMES = 5;
const SLOWER = 4;
const LINE = { offline: false, latency: 150, downloadThroughput: 1_638_400 / 8, uploadThroughput: 750_000 / 8 };
/** Longer than a page waits until it fetches what it does not show. */
const AT_REST_MS = 30_000;

/** Watches for the round, plan and all, and tells when the frame with it has been drawn, and the last press. */
const watched = () => {
  const seen = { plan: undefined, press: 0 };
  globalThis.seen = seen;
  addEventListener("click", (press) => (seen.press = press.timeStamp), true);
  const look = () => {
    // Its link to the bar of the engine is on no other page.
    if (document.querySelector('main:has(a[href^="/rounds/"][href$="/bar"]) section[aria-label="Valve plan"] svg')) {
      requestAnimationFrame(() => setTimeout(() => (seen.plan ??= performance.now())));
    } else {
      requestAnimationFrame(look);
    }
  };
  requestAnimationFrame(look);
};

async function tablet(browser) {
  const page = await browser.newPage();
  await page.setViewport({ width: 800, height: 1280, isMobile: true, hasTouch: true });
  await page.evaluateOnNewDocument(watched);
  const line = await page.createCDPSession();
  await line.send("Network.enable");
  await line.send("Network.emulateNetworkConditions", LINE);
  await page.emulateCPUThrottling(SLOWER);
  return page;
}

async function planShown(page) {
  await page.waitForFunction(() => globalThis.seen?.plan, { polling: 50, timeout: 60_000 });
  const { plan, press } = await page.evaluate(() => globalThis.seen);
  return plan - press;
}

const rested = () => new Promise((done) => setTimeout(done, AT_REST_MS));

/** One tablet, new to this Shim. */
async function once(base, engine, round) {
  const browser = await puppeteer.launch({ executablePath: "/usr/bin/chromium", args: CHROMIUM });
  try {
    const first = await tablet(browser);
    await first.goto(base + round, { timeout: 60_000 });
    const cold = await planShown(first);
    await rested();
    await first.close();

    const second = await tablet(browser);
    await second.goto(base + round, { timeout: 60_000 });
    const again = await planShown(second);
    await second.close();

    const third = await tablet(browser);
    await third.goto(base + engine, { timeout: 60_000 });
    const link = await third.waitForSelector(`a[href="${round}"]`, { timeout: 60_000 });
    await rested();
    await link.click();
    const pressed = await planShown(third);
    return [cold, again, pressed];
  } finally {
    await browser.close();
  }
}

const { base, end } = await demo();
try {
  const { engine, round } = await engineAndRound(base);
  const all = [];
  // The engine's own page leads to the round that is open.
  while (all.length < TIMES) all.push(await once(base, `/engines/${engine}`, `/rounds/${round}`));
  const seconds = (ms) => `${(ms / 1000).toFixed(1)} s`;
  const rows = ["first visit", "later visit", "link pressed in Shim"].map((what, i) => {
    const took = all.map((t) => t[i]);
    return [what, seconds(middle(took)), seconds(at(took, 0)), seconds(at(took, 1))].join(" | ");
  });
  tell("opened", ["the round | middle | soonest | latest", "---|---|---|---", ...rows].join("\n"));
} finally {
  await end();
}
