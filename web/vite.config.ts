import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    // Opens without network: the pages are kept on the device. A new version waits until every page
    // of the old one is closed, so that nothing changes under a coach's thumb.
    VitePWA({
      registerType: 'prompt',
      injectRegister: 'script-defer',
      manifest: {
        name: 'Bradyon',
        short_name: 'Bradyon',
        description: 'Times the pitcher, the catcher and the runner, and says whether to run.',
        start_url: '/',
        display: 'standalone',
        background_color: '#f4f1e7',
        theme_color: '#16211c',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/healthz/, /^\/readyz/],
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  build: {
    target: 'es2022',
    // Nothing is inlined: the content security policy allows fonts and scripts as files only.
    assetsInlineLimit: 0,
    modulePreload: {
      polyfill: false,
      // The first load names no script of a room that may never be opened; once it is there the service worker has
      // them all. A room's styles are still fetched before it shows.
      resolveDependencies: (_file, needed, { hostType }) =>
        hostType === 'html' ? needed : needed.filter((each) => each.endsWith('.css')),
    },
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
