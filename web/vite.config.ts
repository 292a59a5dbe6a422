import { gzipSync } from "node:zlib";
import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";
import { compression } from "vite-plugin-compression2";
import { VitePWA } from "vite-plugin-pwa";
import { fonts } from "./build/fonts.ts";
import { pages } from "./build/pages.ts";

/** Which files of the application every page shares, and what only some of them need. */
const GROUPS = [
  {
    name: "forms",
    test: /node_modules\/(zod|react-hook-form|@hookform)\/|src\/ui\/useEntry|src\/units\/boxes/,
  },
  {
    name: "sheet",
    test: /node_modules\/(.*react-(dialog|focus-guards|focus-scope|dismissable-layer|portal|presence)|react-remove-scroll.*|aria-hidden|tslib|use-(sidecar|callback-ref)|react-style-singleton|get-nonce)\/|src\/ui\/SheetOpen/,
  },
  { name: "charts", test: /node_modules\/(d3-|internmap)|src\/charts\// },
  {
    name: "base",
    test: /node_modules\/|src\/(api|shell|outbox|plan|ui|units|words)\/(?!WaitingPage|LongWork)/,
  },
  {
    // What draws or takes forms brings its library along: such a piece goes by itself.
    name: (id: string) =>
      /(Chart|Drawing|Life|BigStop|Ribbon|Told|Form|SignOff|useStart)\w*\.tsx?$/.test(id)
        ? null
        : (/src\/(?:features\/)?(\w+)\//.exec(id)?.[1] ?? null),
    debugName: "features",
    test: /src\/(features|rail|ribbon|reading)\//,
    minShareCount: 2,
  },
];

/** Tests without a screen that need a browser's storage or its address all the same. */
const IN_A_BROWSER = [
  "src/api/anew.test.ts",
  "src/api/asksFirst.test.ts",
  "src/api/client.test.ts",
  "src/outbox/outbox.test.ts",
  "src/features/spring/SortedPart.test.ts",
];

export default defineConfig({
  plugins: [
    fonts(),
    react(),
    tailwindcss(),
    pages((code) => gzipSync(code, { level: 9 }).length),
    VitePWA({
      // A newer Shim is taken when a person says so: a reload by itself could cost what is being typed.
      registerType: "prompt",
      injectRegister: false,
      manifestFilename: "manifest.json",
      includeAssets: ["shim.svg"],
      manifest: {
        name: "Shim",
        short_name: "Shim",
        description: "Lash, springs and lifters between two events",
        display: "standalone",
        background_color: "#10202e",
        theme_color: "#10202e",
        icons: [{ src: "/shim.svg", sizes: "any", type: "image/svg+xml", purpose: "any" }],
      },
      workbox: {
        globPatterns: ["**/*.{js,css,html,svg,woff2}"],
        navigateFallbackDenylist: [/^\/api\//, /^\/actuator\//, /^\/error/],
        maximumFileSizeToCacheInBytes: 4_000_000,
      },
    }),
    // Packed once at build, as small as can be; what changes with every start is packed by Shim itself.
    compression({ algorithms: ["gzip"], include: /\.(js|css|svg)$/, threshold: 512 }),
  ],
  build: {
    assetsInlineLimit: 0,
    rolldownOptions: {
      output: {
        // Few files: on a slow line each one waits for its turn.
        codeSplitting: { groups: GROUPS, includeDependenciesRecursively: false },
      },
    },
  },
  server: { proxy: { "/api": "http://127.0.0.1:8460" } },
  // Generous: on a busy machine a red must still mean a fault.
  test: {
    testTimeout: 180_000,
    coverage: {
      include: ["src/**/*.{ts,tsx}"],
      exclude: ["src/api/schema.d.ts"],
      reporter: ["json-summary"],
    },
    projects: [
      {
        extends: true,
        test: {
          name: "rules",
          environment: "node",
          // They keep nothing to themselves: a world of its own for each file takes longer than all tests.
          isolate: false,
          include: ["{src,build}/**/*.test.ts"],
          exclude: IN_A_BROWSER,
        },
      },
      {
        extends: true,
        test: { name: "screens", environment: "happy-dom", include: ["src/**/*.test.tsx", ...IN_A_BROWSER] },
      },
    ],
  },
} as import("vitest/config").ViteUserConfig);
