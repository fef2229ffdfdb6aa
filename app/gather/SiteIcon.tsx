/** The mark of an outside site. Its name stands beside it. */
export function SiteIcon({ path, className = 'size-4' }: { path: string; className?: string }) {
  return (
    <svg
      viewBox="0 0 16 16"
      className={`shrink-0 ${className}`}
      fill="currentColor"
      fillRule="evenodd"
      aria-hidden="true"
    >
      <path d={path} />
    </svg>
  )
}
