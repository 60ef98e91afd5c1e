import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

/** Where `npm run dev` finds the server. */
const server = `http://127.0.0.1:${process.env['PORT'] ?? '4600'}`

/**
 * What many pages share comes in a few files: a hundred small ones cost more to ask for than to read. What the first screen needs
 * stands apart, so that it loads nothing else.
 */
const groups = [
  { name: 'first', tags: ['$initial' as const], priority: 4, includeDependenciesRecursively: false },
  {
    name: 'analysis',
    test: /packages[\\/](core|contract)[\\/]src/,
    minShareCount: 2,
    priority: 3,
    includeDependenciesRecursively: false,
  },
  { name: 'reports', test: /[\\/]ReportPart\.tsx$/, priority: 2, includeDependenciesRecursively: false },
  {
    name: 'shared',
    test: /apps[\\/]web[\\/]src/,
    minShareCount: 3,
    priority: 1,
    includeDependenciesRecursively: false,
  },
]

export default defineConfig({
  root: import.meta.dirname,
  plugins: [
    react(),
    tailwindcss(),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src/offline',
      filename: 'serviceWorker.ts',
      injectRegister: false,
      manifest: false,
      injectManifest: { globPatterns: ['**/*.{html,js,css,svg,woff2}'] },
    }),
  ],
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
    rolldownOptions: { output: { codeSplitting: { groups } } },
  },
  // The server lets in what comes from its own address only.
  server: { proxy: { '/api': { target: server, changeOrigin: true, headers: { origin: server } } } },
})
