import { defineConfig } from 'vite'

/** The server, the threads that plan many members, and their work. */
const entries = {
  main: 'main.ts',
  planners: 'planning/planners.ts',
  work: 'planning/work.ts',
}

/** The server as it is started in earnest: our own modules in one file, the packages beside it. */
export default defineConfig({
  build: {
    ssr: true,
    target: 'node20',
    outDir: 'dist',
    emptyOutDir: true,
    sourcemap: true,
    rollupOptions: {
      input: Object.fromEntries(
        Object.entries(entries).map(([name, file]) => [
          name,
          new URL(`src/${file}`, import.meta.url).pathname,
        ]),
      ),
      // What runs in threads is handed to them by its name.
      preserveEntrySignatures: 'strict',
      // Files that stand beside one another name one another.
      output: { chunkFileNames: '[name]-[hash].js' },
    },
  },
})
