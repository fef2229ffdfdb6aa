import { LRUCache } from 'lru-cache'
import { z } from 'zod'
import type { Configuration } from '../../core/display/configuration'
import { readConfiguration } from '../../core/display/readConfiguration'
import { themeSchema } from '../../core/display/themeSchema'
import { designSchema, type FormDesign } from '../../core/form/design'
import { coded, json } from './columnDefinition'

export const texts = () => json(z.array(z.string()))

/** Null if it can't be read. */
export const theme = () => json(themeSchema.nullable().catch(null))

/** Null if it can't be read: a later version of the application can have written it. */
export const configuration = () => coded<Configuration | null>(readConfiguration, JSON.stringify)

/** Designs by their stored texts, because parsing one takes a millisecond and lists read many. */
const designs = new LRUCache<string, FormDesign>({
  maxSize: 4_000_000,
  sizeCalculation: (_, { length }) => length,
})

export const design = () =>
  coded<FormDesign>((stored) => {
    const read = designs.get(stored) ?? designSchema.parse(JSON.parse(stored))
    designs.set(stored, read)
    return read
  }, JSON.stringify)
