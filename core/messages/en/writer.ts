/** The texts about a writer, as labels of fields. */
export const writerLabels = {
  role: 'Role',
  company: 'Company',
  relationship: 'Free gift or personal connection',
} as const

/** Those that displays show or hide, in a list of such parts. */
export const writerParts = {
  role: 'roles',
  company: 'companies',
} as const
