import reserved from './reserved.json' with { type: 'json' }

/** The embed code of a display as it was copied, with attributes that the owner added. */
export function pasted(elogioUrl: string, key: string, shopName: string, attributes = ''): string {
  const style = (reserved as Record<string, string>)[key] ?? ''
  return `${style}<div data-elogio="${key}"${attributes && ` ${attributes}`}><a href="${elogioUrl}/d/${key}">Reviews of ${shopName}</a></div>`
}

/** The embed code of a form, without the script, which the page has once. */
export const pastedForm = (elogioUrl: string, slug: string, attributes = ''): string =>
  `<span data-elogio-form="${slug}"${attributes}><a href="${elogioUrl}/f/${slug}">Write a review</a></span>`
