import { defineConfig } from 'vite'

/** The server as it is started in earnest: our own modules in one file, the packages beside it. */
export default defineConfig({
  build: {
    ssr: true,
    target: 'node20',
    outDir: 'dist',
    emptyOutDir: true,
    sourcemap: true,
    rollupOptions: { input: { main: new URL('src/main.ts', import.meta.url).pathname } },
  },
})
