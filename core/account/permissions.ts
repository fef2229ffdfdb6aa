export const roles = ['owner', 'helper'] as const
export type Role = (typeof roles)[number]

/** What members do in a shop. */
export type Permission = 'reviews' | 'imports' | 'settings' | 'displays' | 'products' | 'downloads'

/** A helper decides, replies and adds reviews. */
const permitted: Record<Role, Permission[]> = {
  owner: ['reviews', 'imports', 'settings', 'displays', 'products', 'downloads'],
  helper: ['reviews'],
}

export const may = (role: Role, permission: Permission): boolean => permitted[role].includes(permission)
