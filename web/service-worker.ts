import { generateSW } from 'workbox-build';
import type { Plugin } from 'vite';

/** The page and its assets, kept on the device, so that a bench opens without network. Answers of the API are kept by src/queue/seen.ts. */
export function serviceWorker(): Plugin {
  return {
    name: 'service-worker',
    apply: 'build',
    closeBundle: async () => {
      await generateSW({
        swDest: 'dist/sw.js',
        globDirectory: 'dist',
        globPatterns: ['assets/*.{js,css,woff2,svg}'],
        modifyURLPrefix: { 'assets/': '/static/assets/' },
        dontCacheBustURLsMatching: /-[\w-]{8}\.\w+$/,
        inlineWorkboxRuntime: true,
        sourcemap: false,
        skipWaiting: true,
        clientsClaim: true,
        cleanupOutdatedCaches: true,
        maximumFileSizeToCacheInBytes: 4_000_000,
        runtimeCaching: [
          {
            urlPattern: ({ request, url }) =>
              request.mode === 'navigate' && !/^\/(api|static|health|ready|metrics)/.test(url.pathname),
            handler: 'NetworkFirst',
            options: {
              cacheName: 'page',
              networkTimeoutSeconds: 4,
              // one page for every address: it finds its own view
              plugins: [{ cacheKeyWillBeUsed: async () => '/' }],
            },
          },
        ],
      });
    },
  };
}
