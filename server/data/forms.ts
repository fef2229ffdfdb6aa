import type { Knex } from 'knex'
import { z } from 'zod'
import type { FormDesign } from '../../core/form/design'
import { publicSources } from '../../core/intake/sourcePolicy'
import { countRows } from './countRows'
import { tables } from './schema/tables'
import { insert, newRow, row, whereOf } from './rows'
import { hasRows, maybe, pick, readAll, readFirst, value, type Selected } from './select'

const columns = {
  ...pick(tables.form, 'id', 'shopId', 'publicId', 'slug', 'name', 'state', 'writers', 'arrivesAs', 'tag'),
  ...pick(
    tables.form,
    'lastDay',
    'trialIntakeId',
    'version',
    'draft',
    'draftSavedAt',
    'draftTab',
    'removedAt',
  ),
  design: maybe(tables.formVersion.design),
}
type FormRow = Selected<typeof columns>
export type FormState = FormRow['state']

export interface Form extends Omit<FormRow, 'design'> {
  /** As published; for a form that never was, its draft. */
  design: FormDesign
}

/** What holds for all versions of a form. */
export type FormSettings = Pick<Form, 'writers' | 'arrivesAs' | 'tag' | 'lastDay'>

const read = (found: FormRow): Form => ({ ...found, design: found.design ?? found.draft })

const published = (db: Knex) =>
  db('form').leftJoin('form_version', (join) =>
    join.on('form_version.form_id', 'form.id').andOn('form_version.number', 'form.version'),
  )
const forms = (db: Knex) => published(db).whereNull('form.removed_at')

async function first(query: Knex.QueryBuilder): Promise<Form | null> {
  const found = await readFirst(query, columns)
  return found ? read(found) : null
}

/**
 * By its address, or one that it had; a removed one too. Slugs are unique in the installation, so a slug identifies
 * its shop.
 */
export function findFormBySlug(db: Knex, slug: string): Promise<Form | null> {
  return first(published(db).whereIn('form.id', db('form_slug').where({ slug }).select('form_id')))
}

export function findForm(db: Knex, shopId: number, publicId: string): Promise<Form | null> {
  return first(forms(db).where(whereOf(tables.form, { shopId, publicId })))
}

/** Null if the review came another way. */
export async function formOfReview(db: Knex, shopId: number, reviewId: number): Promise<Form | null> {
  const formId = db('review').where({ shop_id: shopId, id: reviewId }).select('form_id')
  return first(forms(db).whereIn('form.id', formId))
}

interface FormQuery {
  /** In its name or heading; empty for all. */
  words?: string
  limit?: number
  offset?: number
  latestFirst?: boolean
}

const HEADING = "json_extract(ifnull(form_version.design, form.draft), '$.heading')"

const ofShop = (db: Knex, shopId: number, words = '') => {
  const query = forms(db).where({ 'form.shop_id': shopId })
  if (words.trim() === '') return query
  return query.whereRaw(`instr(lower(form.name || ' ' || ${HEADING}), lower(?)) > 0`, words.trim())
}

/** The names of all forms of a shop. */
export const namesOfForms = (db: Knex, shopId: number): Promise<{ key: string; name: string }[]> =>
  readAll(ofShop(db, shopId).orderBy('form.id'), {
    key: tables.form.publicId,
    name: tables.form.name,
  })

export async function formsOfShop(
  db: Knex,
  shopId: number,
  { words, limit, offset = 0, latestFirst = false }: FormQuery = {},
): Promise<Form[]> {
  const query = ofShop(db, shopId, words).orderBy('form.id', latestFirst ? 'desc' : 'asc')
  if (limit !== undefined) query.limit(limit).offset(offset)
  return (await readAll(query, columns)).map(read)
}

export const countForms = (db: Knex, shopId: number, words = ''): Promise<number> =>
  countRows(ofShop(db, shopId, words))

/** Whether a test review was ever sent through a form. */
export const wasAnyTried = (db: Knex, shopId: number): Promise<boolean> =>
  hasRows(db('form').where({ shop_id: shopId }).whereNotNull('trial_intake_id'))

/** The oldest form that customers can write through; null if there is none. */
export const firstOpenForm = (db: Knex, shopId: number): Promise<Form | null> =>
  first(ofShop(db, shopId).where({ 'form.state': 'open' }).orderBy('form.id'))

/** An earlier version of a form's design; null if there is none with this number. */
export async function designOfVersion(
  db: Knex,
  { id, shopId }: Pick<Form, 'id' | 'shopId'>,
  number: number,
): Promise<FormDesign | null> {
  const found = await readFirst(
    db('form_version').where(whereOf(tables.formVersion, { shopId, formId: id, number })),
    pick(tables.formVersion, 'design'),
  )
  return found?.design ?? null
}

/** The reviews that came through forms since a moment, without test reviews. */
const arrived = (db: Knex, formIds: number[], since: string) =>
  db('review')
    .whereIn('form_id', formIds)
    .where('received_at', '>=', since)
    .whereIn('source', publicSources)
    .whereNot('state', 'undone')

/** How many reviews came through each of some forms since a moment; those without any are missing. */
export async function arrivalsOfForms(
  db: Knex,
  formIds: number[],
  since: string,
): Promise<Map<number, number>> {
  const rows = await readAll(arrived(db, formIds, since).groupBy('form_id'), {
    ...pick(tables.review, 'formId'),
    count: value(z.number(), db.raw('count(*)')),
  })
  return new Map(rows.flatMap(({ formId, count }) => (formId === null ? [] : [[formId, count]])))
}

/** How many came on each day, in UTC. */
export async function arrivalsByDay(
  db: Knex,
  formId: number,
  since: string,
): Promise<{ day: string; count: number }[]> {
  const day = db.raw('substr(received_at, 1, 10)')
  return readAll(arrived(db, [formId], since).groupBy(day), {
    day: value(z.string(), day),
    count: value(z.number(), db.raw('count(*)')),
  })
}

/** Inserts a form; an open one with its first version. */
export async function insertForm(
  trx: Knex,
  form: Pick<Form, 'shopId' | 'publicId' | 'slug' | 'name' | 'writers' | 'design'> &
    Partial<Pick<Form, 'state'>> & { now: string },
): Promise<number> {
  const { shopId, publicId, slug, writers, design, name, state = 'open', now } = form
  const id = await insert(trx, tables.form, {
    shopId,
    publicId,
    slug,
    name,
    state,
    writers,
    version: 0,
    draft: design,
  })
  await insertSlug(trx, shopId, id, slug)
  if (state !== 'draft') await insertFormVersion(trx, { id, shopId, version: 0 }, design, now)
  return id
}

/** Publishes a design as the next version. */
export async function insertFormVersion(
  trx: Knex,
  { id, shopId, version }: Pick<Form, 'id' | 'shopId' | 'version'>,
  design: FormDesign,
  now: string,
): Promise<void> {
  await insert(trx, tables.formVersion, {
    shopId,
    formId: id,
    number: version + 1,
    design,
    publishedAt: now,
  })
  await trx('form')
    .where({ shop_id: shopId, id })
    .update({ version: version + 1 })
}

/** Changes what is not in the design. Returns false if the shop has no such form. */
export async function updateForm(
  db: Knex,
  shopId: number,
  publicId: string,
  changes: Partial<
    FormSettings & Pick<Form, 'name' | 'state' | 'trialIntakeId' | 'draft' | 'draftSavedAt' | 'draftTab'>
  >,
): Promise<boolean> {
  const changed = await db('form')
    .where(whereOf(tables.form, { shopId, publicId, removedAt: null }))
    .update(row(tables.form, changes))
  return changed > 0
}

async function insertSlug(trx: Knex, shopId: number, formId: number, slug: string): Promise<void> {
  await trx('form_slug').insert(newRow(tables.formSlug, { slug, shopId, formId })).onConflict('slug').ignore()
}

/** Its earlier addresses go on working. */
export async function moveForm(trx: Knex, shopId: number, formId: number, slug: string): Promise<void> {
  await insertSlug(trx, shopId, formId, slug)
  await trx('form').where({ shop_id: shopId, id: formId }).update({ slug })
}

/** Its reviews stay. */
export async function removeForm(
  db: Knex,
  shopId: number,
  publicId: string,
  now: string | null,
): Promise<boolean> {
  const removed = await db('form')
    .where(whereOf(tables.form, { shopId, publicId }))
    .update(row(tables.form, { removedAt: now }))
  return removed > 0
}

/** @param except a form that may have it */
export async function isFormSlugTaken(db: Knex, slug: string, except = 0): Promise<boolean> {
  return hasRows(db('form_slug').where({ slug }).whereNot({ form_id: except }))
}

/** How each form of a shop is called, by public id; also removed ones, since their reviews stay. */
export async function formNames(db: Knex, shopId: number): Promise<Record<string, string>> {
  const rows = await readAll(
    db('form').where(whereOf(tables.form, { shopId })),
    pick(tables.form, 'publicId', 'name'),
  )
  return Object.fromEntries(rows.map(({ publicId, name }) => [publicId, name]))
}

/** The questions of a shop's forms by id: how they are worded now, and whether answers may be shown. */
export async function questionsOfShop(
  db: Knex,
  shopId: number,
): Promise<Record<string, { label: string; isPublic: boolean }>> {
  // Of removed forms too, since their reviews stay. Read without the schema: a shop can have hundreds of forms.
  const rows = await readAll(
    published(db)
      .joinRaw("JOIN json_each(ifnull(form_version.design, form.draft), '$.questions') AS question")
      .where(whereOf(tables.form, { shopId })),
    {
      id: value(z.string(), db.raw("question.value ->> 'id'")),
      label: value(z.string().trim(), db.raw("question.value ->> 'label'")),
      isPublic: value(z.literal(1).nullable().catch(null), db.raw("question.value ->> 'public'")),
    },
  )
  return Object.fromEntries(
    rows.map(({ id, label, isPublic }) => [id, { label, isPublic: isPublic !== null }]),
  )
}
