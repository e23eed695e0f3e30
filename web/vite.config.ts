import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'

const parts = [
  [/\/core\/src\/(units|maxes)\/|\/prescribe\/round\.ts|\/declareSteps\.ts|\/api\/src\/typed\.ts/, 'units'],
  [/\/web\/src\/ui\/(Choice|Mark|toast|Toasts|onDemand)\.tsx?|\/icons\/(check|plus|x)\.m?js/, 'small'],
] as const

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
        // Every page works with days and loads, and with the smallest parts: a file each of them is larger than one of all.
        manualChunks: (id) => parts.find(([part]) => part.test(id))?.[1],
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4600' } },
})
