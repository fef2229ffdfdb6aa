/** The mark of an outside site, beside its name. */
export function SiteIcon({ path }: { path: string }) {
  if (!path) return null
  return (
    <svg className="eg-icon" viewBox="0 0 16 16" fill="currentColor" fillRule="evenodd" aria-hidden="true">
      <path d={path} />
    </svg>
  )
}
