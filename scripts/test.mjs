import { Buffer } from 'node:buffer'
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { performance } from 'node:perf_hooks'
import { fail, installPackages, root, run } from './install.mjs'

const GOAL_MINUTES = 8
const SLOWEST_SHOWN = 10
/** Tests wait part of the time, so that three keep two cores busy. */
const FILES_AT_ONCE = 3
/** `/proc/stat` counts in these, on every Linux. */
const TICKS_PER_SECOND = 100

installPackages()
ensureBrowser()
tryToInstall(
  '/usr/lib/chromium/chromium-headless-shell',
  'chromium-headless-shell',
  'browser tests take longer',
)
tryToInstall('/usr/sbin/nginx', 'nginx-light', 'the journey behind TLS uses a proxy of its own')

const started = performance.now()
const coresAtStart = coreTime()
const reports = path.join(root, '.work', 'reports')
rmSync(reports, { recursive: true, force: true })
mkdirSync(reports, { recursive: true })
/** What tests prepare once, for all of them. */
const prepared = mkdtempSync(path.join(tmpdir(), 'elogio-prepared-'))
process.env.ELOGIO_TEST_PREPARED = prepared
let passed = 0
let failed = 0
const durations = []

const checked = checks()
await built()
await tests('unit')
await tests('journey')
await checked
rmSync(prepared, { recursive: true, force: true })

durations.sort((a, b) => b.seconds - a.seconds)
console.log('\nThe slowest tests:')
for (const { seconds, name } of durations.slice(0, SLOWEST_SHOWN))
  console.log(`${seconds.toFixed(1).padStart(6)} s  ${name}`)
// Time depends on the machine, so that it is printed and never counts as a failure.
const minutes = (performance.now() - started) / 60_000
const cores = coreTime()
const stolen = stolenShare(coresAtStart, cores)
console.log(
  `It took ${minutes.toFixed(1)} minutes by the clock` +
    (stolen > 0.01 ? `; other machines had ${Math.round(100 * stolen)} % of the cores.` : '.'),
)
if (cores !== null && coresAtStart !== null)
  console.log(
    `The cores worked for ${((cores.worked - coresAtStart.worked) / TICKS_PER_SECOND / 60).toFixed(1)} minutes.`,
  )
if (minutes > GOAL_MINUTES) console.log(`That is more than the goal of ${GOAL_MINUTES} minutes.`)
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed === 0 ? 0 : 1)

/** Ticks that all cores worked, browsers and servers included, and that other machines took; `null` where it is not Linux. */
function coreTime() {
  if (!existsSync('/proc/stat')) return null
  const [user, nice, system, , , interrupts, softInterrupts, stolen] = readFileSync('/proc/stat', 'utf8')
    .split('\n', 1)[0]
    .trim()
    .split(/\s+/)
    .slice(1)
    .map(Number)
  return { worked: user + nice + system + interrupts + softInterrupts, stolen }
}

function stolenShare(from, to) {
  if (from === null || to === null) return 0
  const stolen = to.stolen - from.stolen
  const worked = to.worked - from.worked
  return stolen + worked > 0 ? stolen / (stolen + worked) : 0
}

/** Builds while the checks run, which need nothing of it. */
async function built() {
  const { ok, output } = await outcome('node', ['scripts/build.mjs'])
  if (!ok) fail(output)
}

async function checks() {
  await check('types, lint and import directions', 'npm', ['run', '--silent', 'lint'])
  await check('format', 'npx', ['oxfmt', '--check'])
}

async function check(name, command, args) {
  const { ok, output } = await outcome(command, args)
  console.log(`\n${name}: ${ok ? 'passed' : 'failed'}\n${ok ? '' : output}`)
  if (ok) passed++
  else failed++
}

async function tests(project) {
  const report = path.join(reports, `${project}.json`)
  const { ok, output } = await outcome('npx', [
    'vitest',
    'run',
    '--project',
    project,
    `--maxWorkers=${FILES_AT_ONCE}`,
    '--reporter=dot',
    '--reporter=json',
    `--outputFile.json=${report}`,
  ])
  console.log(`\n${project} tests\n${withoutDots(output)}`)
  if (!existsSync(report)) {
    failed++
    return
  }
  const { numPassedTests, numFailedTests, numFailedTestSuites, testResults } = JSON.parse(
    readFileSync(report, 'utf8'),
  )
  passed += numPassedTests
  failed += numFailedTests
  // A file that cannot even be loaded has no test in it that could fail.
  if (!ok && numFailedTests === 0) failed += Math.max(1, numFailedTestSuites)
  for (const { name, assertionResults } of testResults)
    for (const { fullName, duration } of assertionResults)
      durations.push({ seconds: (duration ?? 0) / 1000, name: `${path.relative(root, name)}: ${fullName}` })
}

/** The dots are for somebody who watches; they would fill most of a log. */
function withoutDots(output) {
  return output
    .split('\n')
    .filter((line) => !line.includes('·'))
    .join('\n')
}

/** Runs a command and keeps what it prints, as others print meanwhile. */
function outcome(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] })
    const parts = []
    child.stdout.on('data', (part) => parts.push(part))
    child.stderr.on('data', (part) => parts.push(part))
    child.on('error', (error) => resolve({ ok: false, output: error.message }))
    child.on('close', (status) => resolve({ ok: status === 0, output: Buffer.concat(parts).toString() }))
  })
}

/** Debian's Chromium and its driver, installed when they are missing and that is allowed. */
function ensureBrowser() {
  const missing = ['/usr/bin/chromium', '/usr/bin/chromedriver'].filter((file) => !existsSync(file))
  if (missing.length === 0) return
  console.log('Installing Chromium and its driver for the browser tests.')
  if (!apt('update', '-qq') || !apt('install', '-y', '-qq', 'chromium', 'chromium-driver'))
    fail(`The browser tests need ${missing.join(' and ')}, and they could not be installed.`)
}

/** What makes the tests quicker or nearer to real use, and what they do without it. */
function tryToInstall(file, debianPackage, without) {
  if (existsSync(file)) return
  console.log(`Installing ${debianPackage}.`)
  if (!apt('update', '-qq') || !apt('install', '-y', '-qq', '--no-install-recommends', debianPackage))
    console.log(`${debianPackage} could not be installed: ${without}.`)
}

function apt(...args) {
  const [command, ...before] = process.getuid?.() === 0 ? ['apt-get'] : ['sudo', '-n', 'apt-get']
  return run(command, [...before, ...args], { DEBIAN_FRONTEND: 'noninteractive' })
}
