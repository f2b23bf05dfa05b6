import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Which packages each file of the build holds, beside it: what a page loads can be looked at and is tested. */
const packagesOf = (): Plugin => ({
  name: 'packages-of',
  generateBundle(_, bundle) {
    const name = (id: string) => /.*\/node_modules\/((?:@[^/]+\/)?[^/]+)\//.exec(id)?.[1];
    const all = Object.values(bundle).flatMap((file) =>
      file.type === 'chunk' ? [[file.fileName, [...new Set(file.moduleIds.flatMap((id) => name(id) ?? []))].sort()] as const] : [],
    );
    this.emitFile({ type: 'asset', fileName: 'packages.json', source: JSON.stringify(Object.fromEntries(all), null, 1) });
  },
});

export default defineConfig({
  plugins: [
    react(),
    packagesOf(),
    // kept whole in the browser, so that it opens without its server; a newer version waits until the page is next opened
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        id: '/',
        name: 'Obra',
        short_name: 'Obra',
        description: 'Plans one-off turned parts from bar stock: drawing, holding, route, bench, inspection.',
        start_url: '/',
        scope: '/',
        display: 'standalone',
        background_color: '#f7f5f0',
        theme_color: '#f7f5f0',
        icons: [
          { src: '/icon.svg', sizes: 'any', type: 'image/svg+xml' },
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
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
