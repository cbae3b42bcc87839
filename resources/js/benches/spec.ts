import type { Component } from 'vue'
import type { TapeEntry } from '@/api/client'
import type { Applies, Draft } from './entered'

/** What is known of an item of a table while it is filled: its sheet's figures and what was typed. */
export type Item = Record<string, unknown>
export type Context = { draft: Draft; tape: TapeEntry[]; items: Record<string, Item[]> }

/** A column of a table by part; where it does not apply to a part, it is not asked of it. */
export type Column = {
  field: string
  when?: (item: Item, context: Context) => boolean
  /** What stands there may be taken over by a press: what came on is mostly what should. */
  as?: string
  /** Also for all rows at once that are still empty: what is left is mostly what was found. */
  rest?: boolean
  /** What stands in the first row may be taken over by one press in all rows that are still empty. */
  like?: boolean
  /** Told to be empty nowhere here. */
  some?: boolean
  /** One of the names of another table's rows. */
  among?: string
  /** It has a line of its own. */
  wide?: boolean
  /** Its figure has three or four digits. */
  broad?: boolean
  /** Behind a press until something stands in it. */
  seldom?: boolean
  /** Words to pick from, out of what stands on the bench. */
  choices?: (context: Context) => { value: string; text: string }[]
}

/** Words to press, out of what is known before anything is typed and of what is. */
export type Picks = (prefill: Item, draft: Draft) => { value: string; text: string }[]

/** A row has a meaning and no layout of its own. */
export type Row =
  /** `parts`: a part of the unit is named by a press; anything else is written. */
  | { row: 'figure'; field: string; parts?: 'compressor' }
  | { row: 'grid'; fields: string[]; columns: 2 | 3 | 4; title?: string }
  | { row: 'optional'; group: string }
  /** `as`: what is pressed at another field may be taken over by a press. */
  | { row: 'words'; field: string; from?: string; as?: string; picks?: Picks }
  | {
      row: 'table'
      list: string
      columns: Column[]
      facts: string[]
      /** What the record says of a row, in small under its name. */
      recalls?: (item: Item, context: Context) => string
      grows: boolean
      /** One row stands there to be filled. */
      starts: boolean
      /** What is not asked of an item is not sent with it. */
      strict: boolean
      /** A logger's file may be read into it; `ends` are the groups its first and last reading stand in. */
      file: boolean
      ends: string[]
      of?: (item: Item) => boolean
      /** A field of words: each that is pressed has its row. */
      from?: string
      /** Rows that follow from what stands on the bench, each by its name, in this order. */
      lays?: (context: Context) => { value: string; text: string }[]
    }
  | { row: 'walked' }
  /** A tree, a line for each unit, joint or box with the pipe it comes by. */
  | { row: 'tree'; nodes: Column[]; pipes: Column[] }
  /** A list of which each item has a figure for each of some names: both are named by a field of texts. */
  /** A table of the whole tree, or of all addresses, read from a file. */
  | { row: 'treeFile'; of: 'tree' | 'addresses' }
  /** What the system's controller shows now, where one answers. */
  | { row: 'live'; of: 'commission' | 'plan' | 'zones' }
  | { row: 'matrix'; list: string; member: string; names: string }

/** One check of a bench, about what; `fixed` is what the place on the machine says by itself. */
export type PartSpec = {
  check: string
  subject: string
  fixed?: Record<string, unknown>
  /** Fields that mean nothing here. */
  without?: string[]
}

/** A bench: which check or two, in what order their fields stand, and what is drawn beside them. */
export type BenchSpec = {
  id: string
  parts: PartSpec[]
  rows: Row[]
  /** Of two verdicts the one that explains the other: when it stops, it speaks alone. */
  explains?: string
  /** A sketch that is one of a kind; without one the verdict's own drawing is painted. */
  sketch?: Component
  /** No reading but something that is done: it has a button of its own, and is refused until what must hold holds. */
  act?: 'valves' | 'start'
  /** Its drawing is to scale, or a curve: it has half of the width, also before there is anything to be drawn. */
  scaled?: boolean
  /** It is asked once of the whole unit, and by the name of its circuit where there is only one. */
  only?: boolean
  /** On a system it is about one of its indoor units. */
  indoor?: boolean
  /** It may be about a part between closed valves, by the name it is given. */
  sections?: boolean
  /** The sketch is a list that goes on living: it never stands there pale. */
  board?: boolean
  /** It starts from what was recorded on all units of the job; or from the units of the site, until it was told. */
  gathers?: 'job' | 'site'
  /** It goes out on one page, by this name. */
  page?: 'curb' | 'tree' | 'crane' | 'order' | 'label' | 'finding' | 'form'
  /** Its drawing is wide: it stands over the rows. */
  over?: boolean
  /** Nothing is drawn beside it: the rows have the whole width. */
  undrawn?: boolean
  /** What has to be told before it may be recorded, beside what the check itself wants told. */
  untold?: (context: Context) => string[]
}

export const figure = (field: string): Row => ({ row: 'figure', field })
/** A text that mostly names a compressor of the unit. */
export const compressorOr = (field: string): Row => ({ row: 'figure', field, parts: 'compressor' })
export const grid = (fields: string[], columns: 2 | 3 = 3): Row => ({ row: 'grid', fields, columns })
/** Measures of one thing under its name: `measures('curb_outside', 'length', 'width')`. */
export const measures = (title: string, ...members: string[]): Row => ({
  row: 'grid',
  fields: members.map((one) => `${title}.${one}`),
  columns: members.length > 3 ? 4 : members.length > 2 ? 3 : 2,
  title,
})
/** What may be there or not, with members of its own. */
export const optional = (group: string): Row => ({ row: 'optional', group })
export const words = (field: string, from?: string): Row =>
  from === undefined ? { row: 'words', field } : { row: 'words', field, from }
/** Words that are known only at the unit, such as the steps of its script. */
export const picked = (field: string, picks: Picks): Row => ({ row: 'words', field, picks })
/** Words that are mostly those of another field. */
export const wordsAs = (field: string, as: string): Row => ({ row: 'words', field, as })
export const walked = (): Row => ({ row: 'walked' })
export const matrix = (list: string, member: string, names: string): Row => ({
  row: 'matrix',
  list,
  member,
  names,
})
export const table = (
  list: string,
  columns: (string | Column)[],
  more: {
    facts?: string[]
    recalls?: (item: Item, context: Context) => string
    grows?: boolean
    starts?: boolean
    strict?: boolean
    file?: boolean
    ends?: string[]
    of?: (item: Item) => boolean
    from?: string
    lays?: (context: Context) => { value: string; text: string }[]
  } = {},
): Row => ({
  row: 'table',
  list,
  columns: columns.map((one) => (typeof one === 'string' ? { field: one } : one)),
  facts: more.facts ?? [],
  grows: more.grows ?? false,
  starts: more.starts ?? false,
  strict: more.strict ?? false,
  file: more.file ?? false,
  ends: more.ends ?? [],
  ...(more.recalls === undefined ? {} : { recalls: more.recalls }),
  ...(more.of === undefined ? {} : { of: more.of }),
  ...(more.from === undefined ? {} : { from: more.from }),
  ...(more.lays === undefined ? {} : { lays: more.lays }),
})

/** The fields a bench's rows name, members of a table as `list.member`. */
export function named(spec: BenchSpec): Set<string> {
  return new Set(
    spec.rows.flatMap((row) => {
      if (row.row === 'treeFile' || row.row === 'live') return []
      if (row.row === 'tree')
        return [
          ...['nodes', 'nodes.id', 'nodes.kind', ...row.nodes.map((c) => `nodes.${c.field}`)],
          ...['pipes', 'pipes.from', 'pipes.to', ...row.pipes.map((c) => `pipes.${c.field}`)],
        ]
      if (row.row === 'grid') return row.fields
      if (row.row === 'optional') return [row.group]
      if (row.row === 'matrix') return [row.list, `${row.list}.${row.member}`]
      if (row.row === 'table') return [row.list, ...row.columns.map((c) => `${row.list}.${c.field}`)]
      return row.row === 'walked' ? ['items', 'items.answer', 'items.reason'] : [row.field]
    }),
  )
}

/** What the spec asks of an item as it stands: columns that don't apply are not sent with it. */
export function appliesIn(spec: BenchSpec, context: Context): Applies {
  return (list, item, member) => {
    const row = spec.rows.find((one) => one.row === 'table' && one.list === list)
    if (row?.row !== 'table' || !row.strict) return true
    return row.columns.find((c) => c.field === member)?.when?.(item, context) !== false
  }
}

/** Only one bench stands for each tab and subject. */
export function isOfParts(spec: BenchSpec): boolean {
  return ['compressor', 'circuit'].includes(spec.parts[0]?.subject ?? '')
}
