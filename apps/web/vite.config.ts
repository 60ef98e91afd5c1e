import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { VitePWA } from 'vite-plugin-pwa'

/** Where `npm run dev` finds the server. */
const server = `http://127.0.0.1:${process.env['PORT'] ?? '4600'}`

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
  build: { target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
  // The server lets in what comes from its own address only.
  server: { proxy: { '/api': { target: server, changeOrigin: true, headers: { origin: server } } } },
})
