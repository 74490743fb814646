import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

const server = process.env.ESKIZ_SERVER ?? 'http://127.0.0.1:8080';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: {
    target: 'es2023',
    chunkSizeWarningLimit: 700,
    // what the PDF library would load for drawings of its own; nothing here asks for it
    rolldownOptions: { external: ['canvg', 'html2canvas', 'dompurify'] },
  },
  server: {
    host: '127.0.0.1',
    proxy: { '/api': { target: server, changeOrigin: true, headers: { origin: server } } },
  },
  test: {
    environment: 'jsdom',
    include: ['src/**/*.test.{ts,tsx}'],
    reporters: ['default', 'junit'],
    outputFile: { junit: 'target/surefire-reports/TEST-vitest.xml' },
    restoreMocks: true,
    setupFiles: 'src/testing/patience.ts',
    testTimeout: 120_000,
  },
});
