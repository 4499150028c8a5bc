// npm run demo | npm start: installs what is missing, builds, serves on a local port that it prints.
import { build, installPackages, run } from './ready.mjs'

installPackages()
build()
process.exitCode = run('npx', ['tsx', 'server/main.ts', ...process.argv.slice(2)])
