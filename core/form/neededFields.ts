import type { Writers } from '../intake/writers'
import type { FormDesign } from './design'

/** The fields that a design can make optional or leave out, though writers can make them necessary. */
const provingFields = ['name', 'email', 'orderNumber'] as const
export type ProvingField = (typeof provingFields)[number]

const needed: Record<Writers, readonly ProvingField[]> = {
  anyone: [],
  confirmed: ['email'],
  buyers: provingFields,
}

/** The fields that a form has to ask for, whatever its design says, so that its writers can be checked. */
export const neededFields = (writers: Writers): readonly ProvingField[] => needed[writers]

/** A design with the fields that its writers make necessary. */
export function designFor<D extends Pick<FormDesign, ProvingField>>(design: D, writers: Writers): D {
  const asked = neededFields(writers).map((field) => [
    field,
    { ...design[field], shown: true, required: true },
  ])
  return { ...design, ...(Object.fromEntries(asked) as Partial<D>) }
}
