export function Wordmark({ className = '' }: { className?: string }) {
  return (
    <span className={`font-serif text-[26px] leading-none font-semibold ${className}`} translate="no">
      elog<span className="text-knot">i</span>o
    </span>
  )
}
