/** What went wrong, announced to screen readers. */
export function Problem({ text }: { text: string | null | undefined }) {
  if (!text) return null
  return (
    <p role="alert" className="mt-3 font-semibold text-plum">
      {text}
    </p>
  )
}
