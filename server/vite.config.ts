import { defineConfig } from 'vite';

/** Bundles the server and its threads, for paper and for files that come in, with the workspace sources; packages stay outside. */
export default defineConfig({
  build: {
    outDir: 'dist',
    target: 'node20',
    emptyOutDir: true,
    minify: false,
    rollupOptions: {
      input: {
        main: 'src/main.ts',
        pdf: 'src/pdfWorker.ts',
        unpack: 'src/unpackWorker.ts',
      },
      output: { entryFileNames: '[name].js' },
    },
  },
  ssr: { noExternal: [/^@huerta\//] },
});
