/** The name as it is always set: the book serif, its i in apricot. */
export function Wordmark({ className = '' }: { className?: string }) {
  return (
    <span className={`font-serif text-[26px] leading-none font-semibold ${className}`} translate="no">
      elog<span className="text-knot">i</span>o
    </span>
  )
}
