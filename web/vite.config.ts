import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig, type HtmlTagDescriptor, type Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { catalogueModules } from './sentences.ts';
import { daylight, evening, paletteSheet } from './src/app/palette.ts';

const here = fileURLToPath(new URL('.', import.meta.url));

/** Which contract these screens read. */
const contract = createHash('sha256')
  .update(readFileSync(`${here}src/api/contract.gen.ts`))
  .digest('hex')
  .slice(0, 12);

/** The letters that every page needs are asked for with the page, and so is what the first script asks for. */
function askedForAtOnce(): Plugin {
  return {
    name: 'asked-for-at-once',
    transformIndexHtml: {
      order: 'post',
      handler(_, { bundle }) {
        const tags: HtmlTagDescriptor[] = [];
        const ask = (file: string, attrs: Record<string, string>) =>
          tags.push({ tag: 'link', attrs: { ...attrs, href: `/build/${file}`, crossorigin: '' }, injectTo: 'head' });
        for (const one of Object.values(bundle ?? {})) {
          if (/(public-sans-latin-wght|young-serif-latin-400)-normal.*\.woff2$/.test(one.fileName)) {
            ask(one.fileName, { rel: 'preload', as: 'font', type: 'font/woff2' });
          }
          if (one.type === 'chunk' && one.name === 'App') {
            ask(one.fileName, { rel: 'modulepreload' });
            one.imports.forEach((file) => ask(file, { rel: 'modulepreload' }));
          }
        }
        return tags;
      },
    },
  };
}

/** Parts of the component library that others bring along, and that nothing here uses: who asks for them gets a stand-in. */
const unused: [what: string, by: string][] = [
  ['@rc-component/form', 'antd/es/form/context.js'],
  ['../tooltip', 'antd/es/segmented/index.js'],
  ['../tooltip/UniqueProvider', 'antd/es/config-provider/index.js'],
];

function withoutUnused(): Plugin {
  return {
    name: 'without-unused',
    enforce: 'pre',
    resolveId: (source, importer) =>
      unused.some(([what, by]) => source === what && importer?.endsWith(by)) ? `${here}src/app/unused.ts` : null,
  };
}

/** The colours of the kitchen are in the page itself: nothing is shown in others first. */
function paletteInPage(): Plugin {
  return {
    name: 'palette-in-page',
    transformIndexHtml: () => [
      { tag: 'style', children: paletteSheet, injectTo: 'head-prepend' },
      ...Object.entries({ light: daylight, dark: evening }).map(([scheme, { paper }]) => ({
        tag: 'meta',
        attrs: { name: 'theme-color', content: paper, media: `(prefers-color-scheme: ${scheme})` },
      })),
    ],
  };
}

export default defineConfig({
  root: here,
  base: '/build/',
  publicDir: false,
  define: { 'import.meta.env.CONTRACT': JSON.stringify(contract) },
  plugins: [
    react(),
    catalogueModules(),
    withoutUnused(),
    askedForAtOnce(),
    paletteInPage(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src',
      filename: 'worker.ts',
      injectRegister: false,
      manifest: {
        id: '/',
        name: 'Tempesal',
        short_name: 'Tempesal',
        start_url: '/today',
        scope: '/',
        display: 'standalone',
        background_color: daylight.paper,
        theme_color: daylight.paper,
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      injectManifest: {
        globPatterns: ['index.html', 'assets/*.{js,css,woff2}'],
        globIgnores: ['**/*vietnamese*', '**/*latin-ext*'],
        modifyURLPrefix: { '': '/build/' },
        maximumFileSizeToCacheInBytes: 3_000_000,
      },
    }),
    // Packed once at the build; what serves the files takes the smallest that the browser reads.
    compression({ algorithms: ['gzip', 'brotliCompress'], include: /\.(js|css|svg)$/, threshold: 600 }),
  ],
  resolve: {
    // Sentences are taken apart at the build.
    alias: { '@formatjs/icu-messageformat-parser': '@formatjs/icu-messageformat-parser/no-parser.js' },
  },
  build: {
    outDir: fileURLToPath(new URL('../public/build', import.meta.url)),
    emptyOutDir: true,
    chunkSizeWarningLimit: 1500,
    rolldownOptions: {
      output: {
        // Other languages are not kept on the device before they are chosen.
        chunkFileNames: ({ facadeModuleId }) =>
          /virtual:sentences\/(?!rest$)/.test(facadeModuleId ?? '')
            ? 'assets/words/[name]-[hash].js'
            : 'assets/[name]-[hash].js',
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8410' } },
});
