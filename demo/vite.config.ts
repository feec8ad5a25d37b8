import { defineConfig } from 'vite';

/** The filler of the demo workshop for Node, the server's parts built in. */
export default defineConfig({
  resolve: { conditions: ['source'] },
  ssr: { noExternal: [/^@dewpot\//], resolve: { conditions: ['source'] } },
  build: {
    ssr: true,
    target: 'node20',
    outDir: 'dist/app',
    emptyOutDir: true,
    rollupOptions: { input: { main: 'src/main.ts' } },
  },
});
