import { readdirSync, readFileSync } from 'node:fs'
import path from 'node:path'
import { gzipSync } from 'node:zlib'

const client = path.join(import.meta.dirname, '../../build/client')

interface Loaded {
  module: string
  imports: string[]
}
interface Manifest {
  entry: Loaded
  routes: Record<string, Loaded & { parentId?: string }>
}

/**
 * Bytes of script, gzip, that a browser loads before each route's page is alive, by the route's id. Routes are discovered
 * when they are needed, so the manifest of all of them is not loaded.
 */
export function pageScripts(): Record<string, number> {
  const name = readdirSync(path.join(client, 'assets')).find((file) => /^manifest-.*\.js$/.test(file))!
  const manifest = path.join('/assets', name)
  const { entry, routes } = JSON.parse(
    /{.*}/s.exec(readFileSync(path.join(client, manifest), 'utf8'))![0],
  ) as Manifest
  const size = (file: string) => gzipSync(readFileSync(path.join(client, file))).length
  return Object.fromEntries(
    Object.keys(routes).map((id) => {
      const files = new Set([entry.module, ...entry.imports])
      for (let at: string | undefined = id; at; at = routes[at]!.parentId)
        for (const file of [routes[at]!.module, ...routes[at]!.imports]) files.add(file)
      return [id, [...files].reduce((sum, file) => sum + size(file), 0)]
    }),
  )
}
