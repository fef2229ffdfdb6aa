import { existsSync, mkdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { build, fail, installPackages, root, run } from './install.mjs'

installPackages()
ensureBrowser()
build()

const reports = path.join(root, '.work', 'reports')
mkdirSync(reports, { recursive: true })
let passed = 0
let failed = 0

step('types', 'npm', ['run', '--silent', 'typecheck'])
step('lint and import directions', 'npm', ['run', '--silent', 'lint'])
step('format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.'])
tests('unit')
tests('journey')
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)

function step(name, command, args) {
  console.log(`\n${name}`)
  if (run(command, args)) passed++
  else failed++
}

function tests(project) {
  console.log(`\n${project} tests`)
  const report = path.join(reports, `${project}.json`)
  const well = run('npx', [
    'vitest',
    'run',
    '--project',
    project,
    '--reporter=dot',
    '--reporter=json',
    `--outputFile.json=${report}`,
  ])
  const { numPassedTests, numFailedTests, numFailedTestSuites } = JSON.parse(readFileSync(report, 'utf8'))
  passed += numPassedTests
  failed += numFailedTests
  // A file that cannot even be loaded has no test in it that could fail.
  if (!well && numFailedTests === 0) failed += Math.max(1, numFailedTestSuites)
}

/** Debian's Chromium and its driver, installed when they are missing and that is allowed. */
function ensureBrowser() {
  const missing = ['/usr/bin/chromium', '/usr/bin/chromedriver'].filter((file) => !existsSync(file))
  if (missing.length === 0) return
  console.log('Installing Chromium and its driver for the browser tests.')
  const env = { DEBIAN_FRONTEND: 'noninteractive' }
  const [command, ...before] = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', '-n', 'apt-get']
  const apt = (...args) => run(command, [...before, ...args], env)
  if (!apt('update', '-qq') || !apt('install', '-y', '-qq', 'chromium', 'chromium-driver'))
    fail(`The browser tests need ${missing.join(' and ')}, and they could not be installed.`)
}
