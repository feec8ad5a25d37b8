import { defineConfig, type Plugin } from 'vite';

/**
 * What a calculation's thread loads first. It is CommonJS, because the pool of threads requires it: a thread that is ended while Node
 * requires an ES module fells the whole process, and one that is ended while it imports one does not.
 */
const threadStart: Plugin = {
  name: 'thread-start',
  generateBundle() {
    const source = "module.exports = async (call) => (await import('./calculation.js')).default(call);\n";
    this.emitFile({ type: 'asset', fileName: 'calculation.cjs', source });
  },
};

/** The server for Node: our own packages are built in, the others stay where npm put them. */
export default defineConfig({
  plugins: [threadStart],
  resolve: { conditions: ['source'] },
  ssr: { noExternal: [/^@dewpot\//], resolve: { conditions: ['source'] } },
  build: {
    ssr: true,
    target: 'node20',
    outDir: 'dist/app',
    emptyOutDir: true,
    rollupOptions: {
      input: {
        main: 'src/main.ts',
        prepare: 'src/prepare.ts',
        'move-workshop': 'src/move-workshop.ts',
        'pool-user': 'src/pool-user.ts',
        calculation: 'src/threads/thread.ts',
      },
    },
  },
});
