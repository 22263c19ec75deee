import { defineConfig } from 'vite';

/** Bundles the server with our own workspaces; packages stay in node_modules. */
export default defineConfig({
  build: {
    ssr: true,
    target: 'node20',
    outDir: 'dist',
    emptyOutDir: true,
    rolldownOptions: {
      input: {
        main: 'src/main.ts',
        setup: 'src/setup.ts',
        gates: 'src/gates.ts',
        importer: 'src/features/files/importer.ts',
        reset: 'src/reset.ts',
        keys: 'src/keys.ts',
      },
    },
  },
  ssr: { noExternal: [/^@bradyon\//] },
});
