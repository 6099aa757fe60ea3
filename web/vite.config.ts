import { fileURLToPath } from 'node:url';
import react from '@vitejs/plugin-react';
import { defineConfig, type HtmlTagDescriptor, type Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';

const here = fileURLToPath(new URL('.', import.meta.url));

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

export default defineConfig({
  root: here,
  base: '/build/',
  publicDir: false,
  plugins: [
    react(),
    askedForAtOnce(),
    // Packed once at the build; what serves the files takes the smallest that the browser reads.
    compression({ algorithms: ['gzip', 'brotliCompress'], include: /\.(js|css|svg)$/, threshold: 600 }),
  ],
  build: {
    outDir: fileURLToPath(new URL('../public/build', import.meta.url)),
    emptyOutDir: true,
    chunkSizeWarningLimit: 1500,
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8410' } },
});
