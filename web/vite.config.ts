import react from '@vitejs/plugin-react';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createServer, defineConfig, type Plugin } from 'vite';
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

/** The opening page as markup in a page of its own: it is seen with its sheet, before its script. */
const openingStill = (): Plugin => ({
  name: 'opening-still',
  apply: 'build',
  async writeBundle({ dir = '' }, bundle) {
    const page = bundle['index.html'];
    const script = Object.values(bundle).find((file) => file.type === 'chunk' && file.isEntry && file.name === 'still');
    if (page?.type !== 'asset' || !script) throw new Error('no page to write the opening page into');
    const server = await createServer({
      root: import.meta.dirname,
      configFile: false,
      logLevel: 'error',
      plugins: [react()],
      appType: 'custom',
      server: { middlewareMode: true, hmr: false, ws: false },
      optimizeDeps: { noDiscovery: true },
    });
    try {
      const { stillOpening } = (await server.ssrLoadModule('/src/app/stillOpening.tsx')) as { stillOpening: (app: string) => Promise<string> };
      const [tag, app] = /<script type="module" crossorigin src="([^"]+)"><\/script>/.exec(String(page.source)) ?? [];
      if (tag === undefined || app === undefined) throw new Error('no script to begin after the opening page');
      // what runs before anything is painted begins the app when it is
      const first = `<script type="module" crossorigin blocking="render" src="/${script.fileName}"></script>`;
      const ahead = `<link rel="modulepreload" crossorigin href="${app}">`;
      const markup = await stillOpening(app);
      const html = String(page.source)
        .replace(tag, () => first + ahead)
        .replace('<div id="root">', (root) => root + markup);
      writeFileSync(join(dir, 'opening.html'), html);
    } finally {
      await server.close();
    }
  },
});

/** Doors to more than is used of them: what stands behind is shared out by who uses it. */
const doors = /\/core\/src\/|\/web\/src\/\w+\/index\.ts$|\/node_modules\/(?:react-bootstrap|lucide-react)\//;

/** One file of modules and of all that they import at once. */
function together(name: string, priority: number, ...modules: readonly string[]) {
  const all = new Set<string>();
  const add = (id: string, graph: Graph): void => {
    if (all.has(id) || doors.test(id)) return;
    all.add(id);
    for (const next of graph.getModuleInfo(id)?.importedIds ?? []) add(next, graph);
  };
  return {
    debugName: name,
    priority,
    name: (id: string, graph: Graph) => {
      if (all.size === 0) for (const module of modules) add(join(import.meta.dirname, 'src', module), graph);
      return all.has(id) ? name : null;
    },
  };
}
interface Graph {
  readonly getModuleInfo: (id: string) => { readonly importedIds: readonly string[] } | null;
}

export default defineConfig({
  plugins: [
    react(),
    packagesOf(),
    openingAhead(),
    openingStill(),
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
        directoryIndex: 'opening.html',
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/schema\//, /\.[a-z0-9]+$/i],
        maximumFileSizeToCacheInBytes: 4_000_000,
        inlineWorkboxRuntime: true,
        sourcemap: false,
      },
    }),
  ],
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    rolldownOptions: {
      input: { index: 'index.html', still: 'src/shell/still.ts' },
      // a file each of what runs before the first painting, and of the app with its opening page: many small ones wait for each other
      output: {
        codeSplitting: {
          groups: [
            together('before', 2, 'shell/still.ts'),
            together('first', 1, 'main.tsx', 'pages/Opening/index.tsx', 'small/EmptyBar.tsx', 'small/Outline.tsx'),
          ],
        },
      },
    },
  },
  // Bootstrap's own sheets still speak the older Sass
  css: { preprocessorOptions: { scss: { quietDeps: true, silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'] } } },
});
