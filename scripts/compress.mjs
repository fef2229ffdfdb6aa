import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { brotliCompressSync, constants, gzipSync } from 'node:zlib'
import { root } from './install.mjs'

/* Compresses the built files for browsers as well as can be, which takes seconds that no start should take. */

const FOLDERS = ['build/client', 'build/onsite']
const ENDINGS = new Set(['.js', '.css', '.svg', '.txt', '.json'])
/** Shorter files fit into one packet anyway. */
const WORTH_COMPRESSING = 600

for (const folder of FOLDERS)
  for (const entry of readdirSync(path.join(root, folder), { recursive: true, withFileTypes: true })) {
    if (!entry.isFile() || !ENDINGS.has(path.extname(entry.name))) continue
    const file = path.join(entry.parentPath, entry.name)
    const plain = readFileSync(file)
    if (plain.length < WORTH_COMPRESSING) continue
    writeFileSync(`${file}.gz`, gzipSync(plain, { level: 9 }))
    const params = { [constants.BROTLI_PARAM_SIZE_HINT]: plain.length }
    writeFileSync(`${file}.br`, brotliCompressSync(plain, { params }))
  }
