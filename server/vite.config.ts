import { defineConfig } from 'vite';

/** Bundles the server with the workspace sources into one file; packages stay outside. */
export default defineConfig({
  build: { outDir: 'dist', target: 'node20', emptyOutDir: true, minify: false },
  ssr: { noExternal: [/^@huerta\//] },
});
