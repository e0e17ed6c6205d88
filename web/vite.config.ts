import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  build: { target: 'es2022', manifest: true, chunkSizeWarningLimit: 700 },
  server: { port: 4701, proxy: { '/api': 'http://127.0.0.1:4700' } },
});
