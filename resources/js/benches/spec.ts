import type { Component } from 'vue'
import type { TapeEntry } from '@/api/client'
import type { Draft } from './entered'

/** What is known of an item of a table while it is filled: its sheet's figures and what was typed. */
export type Item = Record<string, unknown>
export type Context = { draft: Draft; tape: TapeEntry[]; items: Record<string, Item[]> }

/** A column of a table by part; where it does not apply to a part, it is not asked of it. */
export type Column = { field: string; when?: (item: Item, context: Context) => boolean }

/** A row has a meaning and no layout of its own. */
export type Row =
  | { row: 'figure'; field: string }
  | { row: 'grid'; fields: string[]; columns: 2 | 3 }
  | { row: 'words'; field: string; from?: string }
  | {
      row: 'table'
      list: string
      columns: Column[]
      facts: string[]
      grows: boolean
      of?: (item: Item) => boolean
    }
  | { row: 'walked' }

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
  /** Nothing is drawn beside it: the rows have the whole width. */
  undrawn?: boolean
  /** What has to be told before it may be recorded, beside what the check itself wants told. */
  untold?: (context: Context) => string[]
}

export const figure = (field: string): Row => ({ row: 'figure', field })
export const grid = (fields: string[], columns: 2 | 3 = 3): Row => ({ row: 'grid', fields, columns })
export const words = (field: string, from?: string): Row =>
  from === undefined ? { row: 'words', field } : { row: 'words', field, from }
export const walked = (): Row => ({ row: 'walked' })
export const table = (
  list: string,
  columns: (string | Column)[],
  more: { facts?: string[]; grows?: boolean; of?: (item: Item) => boolean } = {},
): Row => ({
  row: 'table',
  list,
  columns: columns.map((one) => (typeof one === 'string' ? { field: one } : one)),
  facts: more.facts ?? [],
  grows: more.grows ?? false,
  ...(more.of === undefined ? {} : { of: more.of }),
})

/** The fields a bench's rows name, members of a table as `list.member`. */
export function named(spec: BenchSpec): Set<string> {
  return new Set(
    spec.rows.flatMap((row) => {
      if (row.row === 'grid') return row.fields
      if (row.row === 'table') return [row.list, ...row.columns.map((c) => `${row.list}.${c.field}`)]
      return row.row === 'walked' ? ['items', 'items.answer', 'items.reason'] : [row.field]
    }),
  )
}

/** Only one bench stands for each tab and subject. */
export function isOfParts(spec: BenchSpec): boolean {
  return ['compressor', 'circuit'].includes(spec.parts[0]?.subject ?? '')
}
