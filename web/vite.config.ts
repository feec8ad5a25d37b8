import { parse } from '@formatjs/icu-messageformat-parser';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { FIRST_STAGES } from './src/ui/first-stages';

const api = process.env.DEWPOT_API ?? 'http://127.0.0.1:8137';

/** The file of a stage's sentences in a language. */
const CATALOGUE = /\/locales\/([a-z]+)\/(\w+)\.json$/;

/** Parses the sentences of the catalogues as they are built in, so that no browser carries the parser. Plain ones stay text. */
const sentences: Plugin = {
  name: 'sentences',
  enforce: 'pre',
  transform(code, id) {
    if (!CATALOGUE.test(id)) return undefined;
    const parsed = Object.entries(JSON.parse(code) as Record<string, string>).map(([key, sentence]) => [
      key,
      sentence.includes('{') ? parse(sentence, { ignoreTag: true }) : sentence,
    ]);
    return { code: JSON.stringify(Object.fromEntries(parsed)), map: null };
  },
};

/** The faces of the first screen are fetched beside its code: a text that changes its face once it is read is laid out twice. */
const faces: Plugin = {
  name: 'faces',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle = {} }) =>
      Object.keys(bundle)
        .filter((file) => /(young-serif-latin-400|next-latin-wght)-normal-.*\.woff2$/.test(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', href: `/${file}`, crossorigin: '' },
          injectTo: 'head',
        })),
  },
};

const SHARED = 'shared';

/** Catalogues are named by their language and their stage, everything else by what it is: what screens share would have the names of them all. */
const chunkFileNames = ({ name, facadeModuleId }: { name: string; facadeModuleId?: string | null }): string => {
  if (name.startsWith(SHARED)) return `assets/${SHARED}-[hash].js`;
  const [, language, stage] = CATALOGUE.exec(facadeModuleId ?? '') ?? [];
  return language ? `assets/sentences-${language}-${stage}-[hash].js` : 'assets/[name]-[hash].js';
};

/** What the first screen says is one file of each language. */
const firstSentences = (id: string): string | null => {
  const [, language, stage = ''] = CATALOGUE.exec(id) ?? [];
  return language && FIRST_STAGES.includes(stage) ? `sentences-${language}-first` : null;
};

/**
 * What the first screen starts with is one file. What several screens share is gathered by which of them do: a file of its own for each
 * small module was seventy requests for the first screen, each compressed by itself.
 */
const chunks = [
  { name: 'start', tags: ['$initial' as const], priority: 3 },
  { name: firstSentences, priority: 2 },
  { name: SHARED, minShareCount: 2, entriesAware: true, entriesAwareMergeThreshold: 1_000 },
];

const icon = (name: string, side: number) => ({ src: `/${name}.png`, sizes: `${side}x${side}`, type: 'image/png' });

export default defineConfig({
  plugins: [
    sentences,
    faces,
    react(),
    tailwindcss(),
    // The bench opens without a connection: the application itself is kept in the browser, the workshop's data is not.
    VitePWA({
      // A newer one waits until it is asked for: no page is loaded anew under what is typed on it.
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: 'Dew Pot',
        short_name: 'Dew Pot',
        description: 'For casting in reusable moulds',
        display: 'standalone',
        background_color: '#f3efe6',
        theme_color: '#f3efe6',
        id: '/',
        start_url: '/',
        lang: 'en',
        categories: ['lifestyle', 'productivity'],
        icons: [
          { src: '/pot.svg', sizes: 'any', type: 'image/svg+xml' },
          icon('pot-192', 192),
          icon('pot-512', 512),
          { ...icon('pot-maskable-512', 512), purpose: 'maskable' },
        ],
        shortcuts: [
          { name: 'Today', url: '/', icons: [icon('pot-192', 192)] },
          { name: 'Bench', url: '/bench', icons: [icon('pot-192', 192)] },
          { name: 'Weigh', url: '/casts/weigh', icons: [icon('pot-192', 192)] },
          { name: 'Read a label', url: '/casts/label', icons: [icon('pot-192', 192)] },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        maximumFileSizeToCacheInBytes: 3_000_000,
        // The solver of the calendar is large: it is kept once it was wanted.
        runtimeCaching: [
          { urlPattern: /\/assets\/.*\.wasm$/, handler: 'CacheFirst', options: { cacheName: 'solver' } },
          // Photos as they were seen, for a time without connection. They go when one signs out.
          {
            urlPattern: /\/api\/(cast-)?pictures\/[^/?]+\?size=small$/,
            handler: 'CacheFirst',
            options: { cacheName: 'photos', expiration: { maxEntries: 400 }, cacheableResponse: { statuses: [200] } },
          },
        ],
      },
    }),
  ],
  resolve: {
    conditions: ['source', 'module', 'browser', 'development|production'],
    alias: { '@formatjs/icu-messageformat-parser': '@formatjs/icu-messageformat-parser/no-parser.js' },
  },
  build: {
    target: 'es2022',
    // Every browser that runs what is built knows how to fetch ahead, or does without.
    modulePreload: { polyfill: false },
    chunkSizeWarningLimit: 700,
    rollupOptions: { output: { chunkFileNames, codeSplitting: { groups: chunks } } },
  },
  server: { host: '127.0.0.1', port: 5173, proxy: { '/api': api } },
});
