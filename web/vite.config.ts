import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

export default defineConfig({
  root: import.meta.dirname,
  plugins: [react(), tailwindcss()],
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    // A font inlined as data: would be refused by the content policy.
    assetsInlineLimit: (file) => (/\.woff2?$/.test(file) ? false : undefined),
    // The first page names every other file, and what is random in a name cannot be compressed.
    rollupOptions: {
      output: {
        chunkFileNames: 'assets/[name]-[hash:7].js',
        // Every page works with days and loads: a file each of them is larger than one of all.
        manualChunks: (id) => (/\/core\/src\/units\//.test(id) ? 'units' : undefined),
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4600' } },
})
