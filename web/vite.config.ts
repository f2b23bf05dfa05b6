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

/** What the opening page draws with is asked for together with the app, not after it. */
const openingAhead = (): Plugin => ({
  name: 'opening-ahead',
  transformIndexHtml: {
    order: 'post',
    handler(html, { bundle = {} }) {
      const chunks = Object.values(bundle).flatMap((file) => (file.type === 'chunk' ? [file] : []));
      const opening = chunks.find((c) => c.facadeModuleId?.endsWith('/pages/Opening/index.tsx') === true);
      // what it imports, and that again
      const files = new Set(opening ? [opening.fileName] : []);
      for (const name of files) for (const next of chunks.find((c) => c.fileName === name)?.imports ?? []) files.add(next);
      const ahead = [...files].filter((name) => !html.includes(name));
      const sheets = chunks
        .flatMap((c) => (files.has(c.fileName) ? [...(c.viteMetadata?.importedCss ?? [])] : []))
        .filter((name) => !html.includes(name));
      const fonts = Object.keys(bundle).filter((name) => /latin-wght-normal.*woff2$/.test(name) && !name.includes('-ext-'));
      return [
        ...sheets.map((name) => ({ tag: 'link', injectTo: 'head' as const, attrs: { rel: 'stylesheet', crossorigin: '', href: `/${name}` } })),
        ...ahead.map((name) => ({ tag: 'link', injectTo: 'head' as const, attrs: { rel: 'modulepreload', crossorigin: '', href: `/${name}` } })),
        ...fonts.map((name) => ({
          tag: 'link',
          injectTo: 'head' as const,
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', crossorigin: '', href: `/${name}` },
        })),
      ];
    },
  },
});

export default defineConfig({
  plugins: [
    react(),
    packagesOf(),
    openingAhead(),
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
