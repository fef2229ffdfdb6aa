const units = [
  ['year', 365],
  ['month', 30.44],
  ['week', 7],
  ['day', 1],
] as const

/** Says how long ago reviews were written, at the time somebody reads them. Without scripts the month stands there. */
export default function dates(root: ParentNode): void {
  const language = root.querySelector<HTMLElement>('.eg')?.lang || 'en'
  const format = new Intl.RelativeTimeFormat(language, { numeric: 'auto' })
  for (const time of root.querySelectorAll<HTMLTimeElement>('time[data-relative]')) {
    const written = new Date(`${time.dateTime}T12:00:00Z`)
    const days = Math.max(0, Math.round((Date.now() - written.getTime()) / 86_400_000))
    const [unit, length] = units.find(([, most]) => days >= most) ?? units[3]
    time.title = time.textContent
    time.textContent = format.format(-Math.floor(days / length), unit)
  }
}
