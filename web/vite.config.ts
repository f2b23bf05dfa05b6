import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    // kept whole in the browser, so that it opens without its server; a newer version waits until the page is next opened
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifest: false,
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/schema\//, /\.[a-z0-9]+$/i],
        maximumFileSizeToCacheInBytes: 4_000_000,
        inlineWorkboxRuntime: true,
        sourcemap: false,
      },
    }),
  ],
  worker: { format: 'es' },
  build: { target: 'es2022', assetsInlineLimit: 0 },
  // Bootstrap's own sheets still speak the older Sass
  css: { preprocessorOptions: { scss: { quietDeps: true, silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'] } } },
});
