import vue from '@vitejs/plugin-vue'
import laravel from 'laravel-vite-plugin'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

export default defineConfig({
  plugins: [
    laravel({ input: ['resources/js/main.ts'] }),
    vue(),
    // A phone opens the job again where there is no network: the pages, and what the server last said of it.
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: false,
      manifest: false,
      base: '/',
      scope: '/',
      buildBase: '/',
      outDir: 'public',
      workbox: {
        globDirectory: 'public',
        globPatterns: ['build/assets/*.{js,css,woff2}', 'icon.svg'],
        // Three dimensions are heavy, and of no use without the server: fetched when looked at, then kept.
        globIgnores: ['build/assets/RoundView-*'],
        // Every page is the same shell; the server's own answers are not pages.
        navigateFallback: '/',
        navigateFallbackDenylist: [/^\/(api|sanctum|build|up|incastro-ca)/],
        additionalManifestEntries: [{ url: '/', revision: String(Date.now()) }],
        inlineWorkboxRuntime: true,
        skipWaiting: true,
        clientsClaim: true,
        sourcemap: false,
        runtimeCaching: [
          {
            urlPattern: ({ url }) => url.pathname.startsWith('/build/assets/RoundView-'),
            handler: 'CacheFirst',
            options: { cacheName: 'round', expiration: { maxEntries: 4 } },
          },
          {
            urlPattern: ({ url, request }) =>
              request.method === 'GET' &&
              /^\/api\/(session|vocabulary|homes|helping|jobs\/[^/]+)$/.test(url.pathname),
            handler: 'NetworkFirst',
            // A slow answer is waited for: an old one in its place could be of another session.
            options: { cacheName: 'answers', expiration: { maxEntries: 40 } },
          },
          {
            // Quick sums hold nothing of anybody: what was worked out once opens again without a network.
            urlPattern: ({ url, request }) =>
              request.method === 'GET' && /^\/api\/sums(\/\w+)?$/.test(url.pathname),
            handler: 'NetworkFirst',
            options: { cacheName: 'sums', expiration: { maxEntries: 280 } },
          },
        ],
      },
    }),
  ],
  resolve: { alias: { '@': fileURLToPath(new URL('./resources/js', import.meta.url)) } },
})
