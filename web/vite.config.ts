import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Puts the small script that fetches a page ahead before the application's own, which is larger. */
const startFirst: Plugin = {
  name: 'start-first',
  transformIndexHtml: {
    order: 'post',
    handler(_html, { bundle = {} }) {
      const start = Object.values(bundle).find(
        (one) => one.type === 'chunk' && one.name === 'start',
      );
      if (!start) return [];
      const attrs = { type: 'module', crossorigin: true, src: `/${start.fileName}` };
      return [{ tag: 'script', attrs, injectTo: 'head-prepend' }];
    },
  },
};

/** The rooms of core that work on a whole planter. */
const PLANTER_CORE =
  /core\/src\/(?:assembly|assessment|drawing|geometry|numerics\/(?!random)|simulation\/season\/(?!plan|outlook)|physics\/(?:soil|wick|overflow|column)|fabrication\/(?:goods|parts|templates|buildSheetBuilder|sheet))/;

export default defineConfig({
  plugins: [
    react(),
    startFirst,
    // All of the application lies on the device, so that it opens while the server is away. What the server
    // said last is kept by the pages themselves (src/data/offline/responseCache.ts), which know what belongs to whom.
    VitePWA({
      registerType: 'prompt',
      injectRegister: null,
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        maximumFileSizeToCacheInBytes: 5_000_000,
        // From the first visit on, not the second.
        clientsClaim: true,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/let-in/],
        sourcemap: false,
      },
      manifest: {
        name: 'Huerta',
        short_name: 'Huerta',
        description: 'Design, build and tend planters that water themselves.',
        start_url: '/',
        display: 'standalone',
        background_color: '#f6f1e4',
        theme_color: '#f6f1e4',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
    }),
  ],
  build: {
    target: 'es2022',
    manifest: true,
    chunkSizeWarningLimit: 700,
    rolldownOptions: {
      input: { index: 'index.html', start: 'src/start.ts' },
      // What several pages share lies in few files: each file of a page costs a browser some milliseconds.
      output: {
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            { name: 'packages', test: /node_modules/, minShareCount: 6 },
            // Nothing is dragged on the first page.
            { name: 'gestures', test: /@use-gesture/, minShareCount: 2, priority: 1 },
            // What puts a planter together is not wanted by the first page.
            { name: 'core', test: PLANTER_CORE, minShareCount: 3, priority: 1 },
            { name: 'common', minShareCount: 6 },
          ],
        },
      },
    },
  },
  server: { port: 4701, proxy: { '/api': 'http://127.0.0.1:4700' } },
});
