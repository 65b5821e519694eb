import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { svelteTesting } from '@testing-library/svelte/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [tailwindcss(), svelte(), svelteTesting()],
  build: { outDir: '../BrightKettle.Server/wwwroot', emptyOutDir: true, assetsInlineLimit: 0 },
  server: { port: 5271, proxy: { '/api': 'http://127.0.0.1:5270' } },
  test: { environment: 'jsdom', include: ['src/**/*.test.ts'] },
});
