import { setImmediate as nextTurn } from 'node:timers/promises'
import { partsOf } from './multipart'

/** Why a form was refused. */
type FormRefusal = 'tooManyFields' | 'fieldName' | 'longField' | 'broken' | 'wrongType'

export class FormRefused extends Error {
  constructor(readonly reason: FormRefusal) {
    super(`the form was refused: ${reason}`)
  }
}

/** Several of the 200 choices of a question are fields of the same name. */
const MAX_FIELDS = 1000
const MAX_NAME_LENGTH = 100
/** The deepest nesting of a name such as `a.b[0]`. */
const MAX_NAME_DEPTH = 3
const AMPERSAND = 0x26

const urlencoded = /^application\/x-www-form-urlencoded\s{0,2}(?:;|$)/i
const multipart = /^multipart\/form-data\s{0,2}(?:;|$)/i

/**
 * Parses the fields of a form in linear time.
 * @param contentType of the request; an empty body may lack one
 * @param maxFieldBytes of the text of a field, in UTF-8
 * @throws FormRefused
 */
export async function readFormFields(
  body: Buffer,
  contentType: string,
  maxFieldBytes: number,
): Promise<FormData> {
  if (body.length === 0 && !multipart.test(contentType)) return new FormData()
  if (urlencoded.test(contentType)) return urlencodedFields(body, maxFieldBytes)
  if (multipart.test(contentType)) return multipartFields(body, contentType, maxFieldBytes)
  throw new FormRefused('wrongType')
}

/** A byte takes three when it is encoded. */
const ENCODED_BYTES = 3

function urlencodedFields(body: Buffer, maxFieldBytes: number): FormData {
  let fields = 1
  let start = 0
  for (let at = 0; at <= body.length; at++) {
    if (at < body.length && body[at] !== AMPERSAND) continue
    if (at < body.length && ++fields > MAX_FIELDS) throw new FormRefused('tooManyFields')
    // Judged before anything is decoded.
    if (at - start > ENCODED_BYTES * maxFieldBytes + MAX_NAME_LENGTH) throw new FormRefused('longField')
    start = at + 1
  }
  const form = new FormData()
  for (const [name, value] of new URLSearchParams(body.toString('utf8'))) {
    if (value.length > maxFieldBytes) throw new FormRefused('longField')
    form.append(checkedName(name), value)
  }
  return form
}

async function multipartFields(body: Buffer, contentType: string, maxFieldBytes: number): Promise<FormData> {
  const parts = await partsOf(body, boundaryIn(contentType), MAX_FIELDS)
  if (parts === 'tooMany') throw new FormRefused('tooManyFields')
  if (!parts) throw new FormRefused('broken')
  const form = new FormData()
  for (const { name, filename, type, body: bytes } of parts) {
    if (filename === null) {
      if (bytes.length > maxFieldBytes) throw new FormRefused('longField')
      form.append(checkedName(name), bytes.toString('utf8'))
    } else form.append(checkedName(name), new File([new Uint8Array(bytes)], filename, { type }))
    await nextTurn()
  }
  return form
}

function boundaryIn(contentType: string): string {
  const boundary = /;\s{0,2}boundary=(?:"([^"]+)"|([^\s;"]+))/i.exec(contentType)
  const given = boundary?.[1] ?? boundary?.[2] ?? ''
  if (!/^[\w'()+,./:=?-]{1,70}$/.test(given)) throw new FormRefused('broken')
  return given
}

function checkedName(name: string): string {
  const depth = name.match(/[.[]/g)?.length ?? 0
  if (name.length > MAX_NAME_LENGTH || depth > MAX_NAME_DEPTH) throw new FormRefused('fieldName')
  return name
}
