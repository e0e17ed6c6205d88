import { defineConfig } from 'vite';

/** Bundles the server and its thread for paper with the workspace sources; packages stay outside. */
export default defineConfig({
  build: {
    outDir: 'dist',
    target: 'node20',
    emptyOutDir: true,
    minify: false,
    rollupOptions: {
      input: { main: 'src/main.ts', papers: 'src/papersWorker.ts' },
      output: { entryFileNames: '[name].js' },
    },
  },
  ssr: { noExternal: [/^@huerta\//] },
});
