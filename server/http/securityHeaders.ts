import type { ServerResponse } from 'node:http'

/** Headers of everything the router answers; the policy for scripts and styles comes with each page's own nonce. */
export function setSecurityHeaders(res: ServerResponse, secure: boolean): void {
  res.setHeader('X-Content-Type-Options', 'nosniff')
  res.setHeader('Referrer-Policy', 'same-origin')
  res.setHeader('Cross-Origin-Opener-Policy', 'same-origin')
  res.setHeader('Permissions-Policy', 'camera=(), microphone=(), geolocation=()')
  if (secure) res.setHeader('Strict-Transport-Security', 'max-age=31536000')
}
