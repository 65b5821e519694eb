import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import { svelteTesting } from '@testing-library/svelte/vite';
import { VitePWA } from 'vite-plugin-pwa';
import { defineConfig } from 'vitest/config';
import { sentences } from './vite/sentences.ts';

export default defineConfig({
  plugins: [
    tailwindcss(),
    svelte(),
    sentences(),
    svelteTesting(),
    // The page and what it needs to open stay on the phone; a cook is never answered from there.
    VitePWA({
      // A newer page waits until it is taken (lib/state/version.svelte.ts).
      registerType: 'prompt',
      injectRegister: false,
      includeAssets: ['bean.svg'],
      manifest: {
        name: 'Bright Kettle',
        short_name: 'Kettle',
        description: 'Beans, lentils and rice, tender together.',
        start_url: '/stove',
        display: 'standalone',
        background_color: '#f5efe0',
        theme_color: '#1f3470',
        icons: [{ src: '/bean.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        // The pseudo-language is for trying, not for a phone's store.
        globIgnores: ['**/xx.g-*.js'],
        clientsClaim: true,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        runtimeCaching: [
          {
            urlPattern: /^https?:\/\/[^/]+\/api\/(kitchen|catalogue.*|stove)$/,
            handler: 'NetworkFirst',
            options: { cacheName: 'kitchen', networkTimeoutSeconds: 4 },
          },
        ],
      },
    }),
  ],
  build: {
    outDir: '../BrightKettle.Server/wwwroot',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    target: 'es2022',
  },
  server: { port: 5271, proxy: { '/api': 'http://127.0.0.1:5270' } },
  // A machine under load is slow: no test fails for that.
  test: { environment: 'jsdom', include: ['src/**/*.test.ts'], testTimeout: 120_000, hookTimeout: 120_000 },
});
