/** The key that does the same as its button. */
export function Key({ children }: { children: string }) {
  return (
    <kbd
      className="ml-1 rounded-[5px] border border-current px-1.5 font-sans text-[11px] leading-4 font-semibold"
      aria-hidden="true"
    >
      {children}
    </kbd>
  )
}
