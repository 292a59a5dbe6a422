import tailwindcss from "@tailwindcss/vite";
import react from "@vitejs/plugin-react";
import { defineConfig } from "vite";
import { VitePWA } from "vite-plugin-pwa";

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
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
  ],
  build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  server: { proxy: { "/api": "http://127.0.0.1:8460" } },
  // Generous: on a busy machine a red must still mean a fault.
  test: {
    environment: "happy-dom",
    testTimeout: 180_000,
    coverage: {
      include: ["src/**/*.{ts,tsx}"],
      exclude: ["src/api/schema.d.ts"],
      reporter: ["json-summary"],
    },
  },
} as import("vitest/config").ViteUserConfig);
