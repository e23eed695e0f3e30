// npm start: the server as it was built. package.json gives it more room for new objects than Node would: years of sets are read, planned and forgotten.
import { existsSync } from 'node:fs'

const built = new URL('../server/dist/main.js', import.meta.url)
if (existsSync(built)) await import(built.href)
else {
  process.stderr.write('Young Oak did not start. It is not built: run npm run build.\n')
  process.exitCode = 1
}
