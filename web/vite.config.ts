import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  build: {
    target: 'es2022',
    // Nothing is inlined: the content security policy allows fonts and scripts as files only.
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
  },
  css: {
    preprocessorOptions: {
      scss: {
        quietDeps: true,
        // Bootstrap 5.3 is still written with @import.
        silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4680' } },
});
