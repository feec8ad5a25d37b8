import { defineConfig } from 'vite';

/** The server for Node: our own packages are built in, the others stay where npm put them. */
export default defineConfig({
  resolve: { conditions: ['source'] },
  ssr: { noExternal: [/^@dewpot\//], resolve: { conditions: ['source'] } },
  build: {
    ssr: true,
    target: 'node20',
    outDir: 'dist/app',
    emptyOutDir: true,
    rollupOptions: {
      input: { main: 'src/main.ts', prepare: 'src/prepare.ts', calculation: 'src/threads/thread.ts' },
    },
  },
});
