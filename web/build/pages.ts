import { readFileSync } from "node:fs";
import type { Plugin } from "vite";

/**
 * What a page asks Shim for whatever it shows, so that it comes while the page's own script is still
 * on its way. The journeys hold that each is asked for once.
 */
const ENGINE = "/api/engines/$id";
const of = (...parts: string[]) => [ENGINE, ...parts.map((p) => `${ENGINE}/${p}`)];
export const ASKED_FIRST: Record<string, readonly string[]> = {
  "/": ["/api/turnaround"],
  "/engines": ["/api/engines"],
  "/engines/$id": of("rounds", "events", "hours", "readiness", "lash-history", "springs", "jobs"),
  "/engines/$id/lash": of("lash-history"),
  "/engines/$id/springs": of("springs", "rounds", "hours", "lash-history", "jobs", "seen-in-rounds"),
  "/engines/$id/lifters": of(
    "lifters",
    "lash-drift",
    "rounds",
    "hours",
    "lash-history",
    "jobs",
    "seen-in-rounds",
  ),
  "/engines/$id/inspect": [...of("lifters"), "/api/looks"],
  "/engines/$id/cam": of("cam"),
  "/rounds/$id": ["/api/rounds/$id", "/api/rounds/$id/spring-test"],
  "/tests/$id": ["/api/spring-tests/$id"],
  "/jobs/$id": ["/api/jobs/$id"],
};

/** And what every page asks. */
export const ON_EVERY_PAGE: readonly string[] = ["/api/about", "/api/condition", "/api/danger"];

/** Bytes of script a page may take over the line, packed with gzip; more fails the build. */
const MOST_SCRIPT = 240_000;
const LEAST_PAGES = 40;
const BUDGET: Record<string, number> = {
  "/": 180_000,
  "/rounds/$id": 180_000,
  "/tests/$id": 180_000,
  "/jobs/$id": 180_000,
  "/engines/$id/springs": 190_000,
  "/engines/$id/lifters": 180_000,
  "/engines/$id/inspect": 180_000,
};

export interface Page {
  path: string;
  scripts: string[];
  asks: readonly string[];
}

/** Which file each address opens, as the routes say. */
export function routesOf(text: string): { path: string; file: string }[] {
  return [...text.matchAll(/"(\/[^"]*)",\s*page\(\s*\(\) => import\("\.\/([^"]+)"\)/g)].map(
    ([, path = "", file = ""]) => ({ path, file }),
  );
}

/** The pages whose scripts weigh more than they may. */
export function tooHeavy(pages: readonly Page[], bytes: (script: string) => number): string[] {
  return pages
    .map((p) => ({ path: p.path, is: p.scripts.reduce((sum, s) => sum + bytes(s), 0) }))
    .filter(({ path, is }) => is > (BUDGET[path] ?? MOST_SCRIPT))
    .map(({ path, is }) => `${path} takes ${is} bytes of script, it may take ${BUDGET[path] ?? MOST_SCRIPT}`);
}

/**
 * Writes `pages.json`: page by page, which scripts it is made of and what it asks for first. Shim
 * names these in the page it sends, so that nothing waits for the line twice.
 */
export function pages(packed: (code: string) => number): Plugin {
  return {
    name: "shim-pages",
    apply: "build",
    generateBundle(_, bundle) {
      const chunks = Object.values(bundle).filter((c) => c.type === "chunk");
      const byName = new Map(chunks.map((c) => [c.fileName, c]));
      const withImports = (name: string, all = new Set<string>()): Set<string> => {
        if (all.has(name)) return all;
        all.add(name);
        for (const i of byName.get(name)?.imports ?? []) withImports(i, all);
        return all;
      };
      const entry = chunks.find((c) => c.isEntry);
      if (!entry) throw new Error("the build has no entry");
      const known = routesOf(readFileSync("src/routes.tsx", "utf8")).map(({ path, file }): Page => {
        const chunk = chunks.find((c) => c.facadeModuleId?.endsWith(`/src/${file}.tsx`));
        if (!chunk) throw new Error(`${path} opens ${file}, which the build does not have`);
        return {
          path,
          scripts: [...withImports(entry.fileName), ...withImports(chunk.fileName)].filter(
            (s, i, all) => all.indexOf(s) === i,
          ),
          asks: [...(ASKED_FIRST[path] ?? []), ...ON_EVERY_PAGE],
        };
      });
      if (known.length < LEAST_PAGES) throw new Error("the routes are written in a way pages.ts cannot read");
      const heavy = tooHeavy(known, (s) => packed(byName.get(s)?.code ?? ""));
      if (heavy.length > 0) throw new Error(heavy.join("\n"));
      this.emitFile({ type: "asset", fileName: "pages.json", source: JSON.stringify(known) });
    },
  };
}
