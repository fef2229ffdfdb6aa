import { LRUCache } from 'lru-cache'
import type { Knex } from 'knex'
import { designSchema, type FormDesign } from '../../core/form/design'
import type { Writers } from '../../core/intake/writers'
import { publicSources } from '../../core/intake/sourcePolicy'
import { countRows } from './countRows'

export type FormState = 'draft' | 'open' | 'closed'

export interface Form {
  id: number
  shopId: number
  publicId: string
  slug: string
  /** Only members see it; empty for a form that nobody named. */
  name: string
  state: FormState
  writers: Writers
  /** The state in which its reviews begin, unless a rule is stronger. */
  arrivesAs: 'waiting' | 'approved'
  /** What its reviews are tagged; empty for nothing. */
  tag: string
  /** The last day on which it is open, in the shop's time zone; empty for no end. */
  lastDay: string
  /** The intake of its test reviews; null if there are none. */
  trialIntakeId: number | null
  /** The number of the published version; 0 if there is none. */
  version: number
  /** As published; for a form that never was, its draft. */
  design: FormDesign
  draft: FormDesign
  /** When the draft was saved, and the browser tab that did it; empty if it never was. */
  draftSavedAt: string
  draftTab: string
  removedAt: string | null
}

/** What holds for all versions of a form. */
export type FormSettings = Pick<Form, 'writers' | 'arrivesAs' | 'tag' | 'lastDay'>

const columns = {
  id: 'form.id',
  shopId: 'form.shop_id',
  publicId: 'form.public_id',
  slug: 'form.slug',
  name: 'form.name',
  state: 'form.state',
  writers: 'form.writers',
  arrivesAs: 'form.arrives_as',
  tag: 'form.tag',
  lastDay: 'form.last_day',
  trialIntakeId: 'form.trial_intake_id',
  version: 'form.version',
  design: 'form_version.design',
  draft: 'form.draft',
  draftSavedAt: 'form.draft_saved_at',
  draftTab: 'form.draft_tab',
  removedAt: 'form.removed_at',
}
type FormRow = Omit<Form, 'design' | 'draft'> & { design: string | null; draft: string }

/** Designs by their stored texts, because parsing one takes a millisecond and lists read many. */
const designs = new LRUCache<string, FormDesign>({
  maxSize: 4_000_000,
  sizeCalculation: (_, { length }) => length,
})

function readDesign(stored: string): FormDesign {
  const design = designs.get(stored) ?? designSchema.parse(JSON.parse(stored))
  designs.set(stored, design)
  return design
}

const read = (row: FormRow): Form => ({
  ...row,
  design: readDesign(row.design ?? row.draft),
  draft: readDesign(row.draft),
})

const published = (db: Knex) =>
  db('form').leftJoin('form_version', (join) =>
    join.on('form_version.form_id', 'form.id').andOn('form_version.number', 'form.version'),
  )
const forms = (db: Knex) => published(db).whereNull('form.removed_at')

async function first(query: Knex.QueryBuilder): Promise<Form | null> {
  const row = await query.first<FormRow | undefined>(columns)
  return row ? read(row) : null
}

/**
 * By its address, or one that it had; a removed one too. Slugs are unique in the installation, so a slug identifies
 * its shop.
 */
export function findFormBySlug(db: Knex, slug: string): Promise<Form | null> {
  return first(published(db).whereIn('form.id', db('form_slug').where({ slug }).select('form_id')))
}

export function findForm(db: Knex, shopId: number, publicId: string): Promise<Form | null> {
  return first(forms(db).where({ 'form.shop_id': shopId, 'form.public_id': publicId }))
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

export async function formsOfShop(
  db: Knex,
  shopId: number,
  { words, limit, offset = 0, latestFirst = false }: FormQuery = {},
): Promise<Form[]> {
  const query = ofShop(db, shopId, words).orderBy('form.id', latestFirst ? 'desc' : 'asc')
  if (limit !== undefined) query.limit(limit).offset(offset)
  const rows = await query.select<FormRow[]>(columns)
  return rows.map(read)
}

export const countForms = (db: Knex, shopId: number, words = ''): Promise<number> =>
  countRows(ofShop(db, shopId, words))

/** The oldest form that customers can write through; null if there is none. */
export const firstOpenForm = (db: Knex, shopId: number): Promise<Form | null> =>
  first(ofShop(db, shopId).where({ 'form.state': 'open' }).orderBy('form.id'))

/** An earlier version of a form's design; null if there is none with this number. */
export async function designOfVersion(
  db: Knex,
  { id, shopId }: Pick<Form, 'id' | 'shopId'>,
  number: number,
): Promise<FormDesign | null> {
  const row = await db('form_version')
    .where({ shop_id: shopId, form_id: id, number })
    .first<{ design: string } | undefined>('design')
  return row ? readDesign(row.design) : null
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
  const rows: { formId: number; count: number }[] = await arrived(db, formIds, since)
    .groupBy('form_id')
    .select({ formId: 'form_id' })
    .count({ count: '*' })
  return new Map(rows.map(({ formId, count }) => [formId, count]))
}

/** How many came on each day, in UTC. */
export async function arrivalsByDay(
  db: Knex,
  formId: number,
  since: string,
): Promise<{ day: string; count: number }[]> {
  const day = db.raw('substr(received_at, 1, 10)')
  return arrived(db, [formId], since).groupBy(day).select({ day }).count({ count: '*' })
}

/** Inserts a form; an open one with its first version. */
export async function insertForm(
  trx: Knex,
  form: Pick<Form, 'shopId' | 'publicId' | 'slug' | 'writers' | 'design'> &
    Partial<Pick<Form, 'name' | 'state'>> & { now: string },
): Promise<number> {
  const { shopId, publicId, slug, writers, design, name = '', state = 'open', now } = form
  const [id] = await trx('form').insert({
    shop_id: shopId,
    public_id: publicId,
    slug,
    name,
    state,
    writers,
    version: 0,
    draft: JSON.stringify(design),
  })
  await trx('form_slug').insert({ slug, shop_id: shopId, form_id: id })
  if (state !== 'draft') await insertFormVersion(trx, { id: id!, shopId, version: 0 }, design, now)
  return id!
}

/** Publishes a design as the next version. */
export async function insertFormVersion(
  trx: Knex,
  { id, shopId, version }: Pick<Form, 'id' | 'shopId' | 'version'>,
  design: FormDesign,
  now: string,
): Promise<void> {
  await trx('form_version').insert({
    shop_id: shopId,
    form_id: id,
    number: version + 1,
    design: JSON.stringify(design),
    published_at: now,
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
  const { draft, draftSavedAt, draftTab, arrivesAs, lastDay, trialIntakeId, ...plain } = changes
  return (
    (await db('form')
      .where({ shop_id: shopId, public_id: publicId, removed_at: null })
      .update({
        ...plain,
        ...(arrivesAs !== undefined && { arrives_as: arrivesAs }),
        ...(lastDay !== undefined && { last_day: lastDay }),
        ...(trialIntakeId !== undefined && { trial_intake_id: trialIntakeId }),
        ...(draft && { draft: JSON.stringify(draft) }),
        ...(draftSavedAt !== undefined && { draft_saved_at: draftSavedAt, draft_tab: draftTab ?? '' }),
      })) > 0
  )
}

/** Its earlier addresses go on working. */
export async function moveForm(trx: Knex, shopId: number, formId: number, slug: string): Promise<void> {
  await trx('form_slug').insert({ slug, shop_id: shopId, form_id: formId }).onConflict('slug').ignore()
  await trx('form').where({ shop_id: shopId, id: formId }).update({ slug })
}

/** Its reviews stay. */
export async function removeForm(
  db: Knex,
  shopId: number,
  publicId: string,
  now: string | null,
): Promise<boolean> {
  return (await db('form').where({ shop_id: shopId, public_id: publicId }).update({ removed_at: now })) > 0
}

/** @param except a form that may have it */
export async function isFormSlugTaken(db: Knex, slug: string, except = 0): Promise<boolean> {
  return (await db('form_slug').where({ slug }).whereNot({ form_id: except }).first('slug')) !== undefined
}

/** How each form of a shop is called, by public id; also removed ones, since their reviews stay. */
export async function formNames(db: Knex, shopId: number): Promise<Record<string, string>> {
  const rows: { publicId: string; name: string }[] = await published(db)
    .where({ 'form.shop_id': shopId })
    .select({
      publicId: 'form.public_id',
      name: db.raw(`coalesce(nullif(form.name, ''), nullif(${HEADING}, ''), form.slug)`),
    })
  return Object.fromEntries(rows.map(({ publicId, name }) => [publicId, name]))
}

/** Its name, or what tells it from others of the shop. */
export const nameOfForm = ({ name, design, slug }: Pick<Form, 'name' | 'design' | 'slug'>): string =>
  name || design.heading || slug

/** The questions of a shop's forms by id: how they are worded now, and whether answers may be shown. */
export async function questionsOfShop(
  db: Knex,
  shopId: number,
): Promise<Record<string, { label: string; isPublic: boolean }>> {
  // Of removed forms too, since their reviews stay. Read without the schema: a shop can have hundreds of forms.
  const rows: { id: string; label: string; isPublic: 0 | 1 }[] = await published(db)
    .joinRaw("JOIN json_each(ifnull(form_version.design, form.draft), '$.questions') AS question")
    .where({ 'form.shop_id': shopId })
    .select({
      id: db.raw("question.value ->> 'id'"),
      label: db.raw("question.value ->> 'label'"),
      isPublic: db.raw("question.value ->> 'public'"),
    })
  return Object.fromEntries(
    rows.map(({ id, label, isPublic }) => [id, { label: label.trim(), isPublic: isPublic === 1 }]),
  )
}
