// The application, which tells its memory after a forced collection when it is asked.
process.on('message', () => {
  globalThis.gc()
  globalThis.gc()
  process.send(process.memoryUsage().rss)
})
await import('../build/app/main.js')
