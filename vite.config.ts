import { readFileSync } from 'node:fs'
import vue from '@vitejs/plugin-vue'
import { defineConfig, type Plugin } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'
import vuetify from 'vite-plugin-vuetify'

/**
 * The interface library brings its calendar along, which no part of this app shows: 4 kB of the first load. Its place
 * stays empty.
 */
const noCalendar: Plugin = {
  name: 'no-calendar',
  enforce: 'pre',
  resolveId: (id, from) =>
    id === './adapters/vuetify.js' && from?.includes('composables/date/') ? '\0no-calendar' : null,
  load: (id) => (id === '\0no-calendar' ? 'export class VuetifyDateAdapter {}' : null),
}

/** What a bench may be read from, for the system's lists of files. */
const benchFiles = { 'application/json': ['.json'], 'application/zip': ['.zip'] }
/**
 * Installed, and open without a network after the first visit: every built file is kept. A new version waits until the
 * maker asks for it (app/frame/newVersion.ts).
 */
const installed = VitePWA({
  registerType: 'prompt',
  injectRegister: false,
  manifest: {
    id: '/',
    name: 'Paste Bench',
    short_name: 'Paste Bench',
    description: 'Choose the glue for a joint by comparative bond tests.',
    start_url: '/',
    scope: '/',
    display: 'standalone',
    theme_color: '#0E4D45',
    background_color: '#F4F7F5',
    icons: [
      { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
      { src: '/icon-mask-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
    ],
    file_handlers: [{ action: '/incoming', accept: benchFiles }],
    share_target: {
      action: '/incoming',
      method: 'POST',
      enctype: 'multipart/form-data',
      params: { files: [{ name: 'bench', accept: ['application/json', 'application/zip', '.json', '.zip'] }] },
    },
  },
  workbox: {
    globPatterns: ['**/*.{js,css,html,ico,svg,png,woff2}'],
    globIgnores: ['incoming.js'],
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/instruments\//],
    importScripts: ['incoming.js'],
    cleanupOutdatedCaches: true,
    maximumFileSizeToCacheInBytes: 5e6,
  },
})

const { version } = JSON.parse(readFileSync(new URL('package.json', import.meta.url), 'utf8')) as { version: string }

export default defineConfig({
  define: { 'import.meta.env.VITE_VERSION': JSON.stringify(version) },
  plugins: [noCalendar, vue(), vuetify({ autoImport: true }), installed],
  build: {
    target: 'es2022',
    manifest: true,
    // The app comes from the machine itself: what a station imports is fetched when it is, and only its styles before;
    // what the start imports is named in the page, so that it is fetched at once.
    modulePreload: {
      polyfill: false,
      resolveDependencies: (_, parts, { hostType }) =>
        hostType === 'html' ? parts : parts.filter((part) => part.endsWith('.css')),
    },
    chunkSizeWarningLimit: 1600,
    // Start page and frame come in one piece: forty, found one behind the other, take seconds on a slow line.
    rolldownOptions: { output: { codeSplitting: { groups: [{ name: 'start', tags: ['$initial'] }] } } },
  },
  worker: { format: 'es' },
})
