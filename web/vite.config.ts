import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import vuetify from 'vite-plugin-vuetify';

export default defineConfig({
  plugins: [
    vue(),
    vuetify({ autoImport: true }),
    // The pages themselves are kept on the device, so that a job opened before opens again without a connection.
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: 'script-defer',
      manifest: {
        name: 'Dusk Wren',
        short_name: 'Dusk Wren',
        description: 'The overhaul bench for industrial valves',
        theme_color: '#1b1926',
        background_color: '#1b1926',
        display: 'standalone',
        start_url: '/',
        icons: [{ src: '/wren.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        // The solver is fetched by whoever asks for it, and needs a connection for that.
        globIgnores: ['**/minizinc-worker*'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        maximumFileSizeToCacheInBytes: 3_000_000,
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  build: { target: 'es2022', manifest: true, chunkSizeWarningLimit: 600, reportCompressedSize: false },
  server: { proxy: { '/api': { target: 'http://127.0.0.1:4780' } } },
});
