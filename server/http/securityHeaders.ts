/** Headers for all answers of the router. Each page adds a policy for scripts and styles with its own nonce. */
export function setSecurityHeaders(headers: Headers, secure: boolean): void {
  headers.set('X-Content-Type-Options', 'nosniff')
  headers.set('Referrer-Policy', 'same-origin')
  headers.set('Cross-Origin-Opener-Policy', 'same-origin')
  headers.set('Permissions-Policy', 'camera=(), microphone=(), geolocation=()')
  if (secure) headers.set('Strict-Transport-Security', 'max-age=31536000')
}
