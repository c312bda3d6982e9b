import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { compressed } from './compressed.js';

export default defineConfig({
  plugins: [
    react(),
    tailwind(),
    VitePWA({
      registerType: 'autoUpdate',
      manifest: {
        name: 'Clay Pot',
        short_name: 'Clay Pot',
        description: 'Load preparation for wrists, hands and forearms',
        theme_color: '#16191c',
        background_color: '#f6f8f9',
        display: 'standalone',
        icons: [{ src: '/pot.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        // Pictures of rows come with the shell; large ones are kept once they were seen.
        globPatterns: ['**/*.{js,css,html,svg,woff2,bin,csv}', 'assets/stills/*-small.webp'],
        // The shell opens without a network; data always comes from the server or from what the player keeps.
        navigateFallbackDenylist: [/^\/api\//],
        // The solver is large: it is kept once somebody has composed, and then composes without a network.
        runtimeCaching: [
          { urlPattern: /\.wasm$/, handler: 'CacheFirst', options: { cacheName: 'solver' } },
          { urlPattern: /\/voice\/.*\.wav$/, handler: 'CacheFirst', options: { cacheName: 'voice' } },
          { urlPattern: /\/assets\/stills\/.*\.webp$/, handler: 'CacheFirst', options: { cacheName: 'stills' } },
        ],
      },
    }),
    compressed(),
  ],
  server: {
    // The address that the browser asked stays: the server refuses writes that come from another origin.
    proxy: { '/api': { target: process.env['API'] ?? 'http://127.0.0.1:4173', changeOrigin: false } },
  },
  build: {
    manifest: true,
    rolldownOptions: {
      output: {
        codeSplitting: {
          // A page took more than a hundred files, six at a time. What many pages share comes in one: how many decides into which.
          groups: [
            { name: 'start', tags: ['$initial'], priority: 9 },
            { name: 'most', minShareCount: 24, priority: 8 },
            { name: 'many', minShareCount: 16, priority: 7 },
            { name: 'some', minShareCount: 9, priority: 6 },
            { name: 'few', minShareCount: 6, priority: 5 },
          ],
        },
      },
    },
  },
});
