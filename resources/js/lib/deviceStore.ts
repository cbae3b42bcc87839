import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { ProblemView } from '@/api/client'

/** A write that has not arrived yet, as it is kept on this device. */
export type Waiting = {
  id: number
  key: string
  person: number
  who: string
  machine: number
  machineName: string
  /** After /machines/{machine}/. A picture of a reading that waits itself is about that reading's key. */
  path: string
  body?: Record<string, unknown>
  photo?: Blob
  aboutKey?: string
  /** What it is and what it says, for those who see it wait. */
  label: string
  words: string
  deviceAt: string
  /** Why the server would not take it. */
  problem?: ProblemView
}

/** What the device keeps: writes in their order, where those that arrived stand, and the last pages seen. */
export type DeviceStore = {
  add(item: Omit<Waiting, 'id'>): Promise<number>
  put(item: Waiting): Promise<void>
  all(): Promise<Waiting[]>
  drop(id: number): Promise<void>
  arrived(key: string, at: number): Promise<void>
  placeOf(key: string): Promise<number | undefined>
  keepPage(name: string, page: unknown): Promise<void>
  page(name: string): Promise<unknown>
  /** Pages whose name begins so. */
  forgetPages(beginning: string): Promise<void>
}

interface Kept extends DBSchema {
  outbox: { key: number; value: Waiting }
  arrived: { key: string; value: { key: string; at: number; when: number } }
  pages: { key: string; value: unknown }
}

const NAME = 'iron-start'
const KEPT_MS = 14 * 86_400_000

/** A copy without reactive wrappers: those can't be kept. */
function plain<T>(page: T): T {
  return JSON.parse(JSON.stringify(page)) as T
}

function stored<T extends Omit<Waiting, 'id'>>(item: T): T {
  return {
    ...item,
    ...(item.body && { body: plain(item.body) }),
    ...(item.problem && { problem: plain(item.problem) }),
  }
}

export function databaseShelf(): DeviceStore {
  let opened: Promise<IDBPDatabase<Kept>> | undefined
  const db = () =>
    (opened ??= openDB<Kept>(NAME, 1, {
      upgrade(base) {
        base.createObjectStore('outbox', { keyPath: 'id', autoIncrement: true })
        base.createObjectStore('arrived', { keyPath: 'key' })
        base.createObjectStore('pages')
      },
    }))
  return {
    add: async (item) => (await db()).add('outbox', stored(item) as Waiting),
    put: async (item) => void (await (await db()).put('outbox', stored(item))),
    all: async () => (await db()).getAll('outbox'),
    drop: async (id) => (await db()).delete('outbox', id),
    async arrived(key, at) {
      const base = await db()
      await base.put('arrived', { key, at, when: Date.now() })
      for (const old of await base.getAll('arrived'))
        if (Date.now() - old.when > KEPT_MS) await base.delete('arrived', old.key)
    },
    placeOf: async (key) => (await (await db()).get('arrived', key))?.at,
    keepPage: async (name, page) => void (await (await db()).put('pages', plain(page), name)),
    page: async (name) => (await db()).get('pages', name),
    forgetPages: async (beginning) =>
      (await db()).delete('pages', IDBKeyRange.bound(beginning, `${beginning}\uffff`)),
  }
}

/** Where a browser lets nothing be kept: as long as the page is open. */
export function memoryStore(): DeviceStore {
  const items = new Map<number, Waiting>()
  const places = new Map<string, number>()
  const pages = new Map<string, unknown>()
  let last = 0
  return {
    async add(item) {
      items.set(++last, { ...item, id: last })
      return last
    },
    put: async (item) => void items.set(item.id, item),
    all: async () => [...items.values()],
    drop: async (id) => void items.delete(id),
    arrived: async (key, at) => void places.set(key, at),
    placeOf: async (key) => places.get(key),
    keepPage: async (name, page) => void pages.set(name, plain(page)),
    page: async (name) => pages.get(name),
    async forgetPages(beginning) {
      for (const name of [...pages.keys()]) if (name.startsWith(beginning)) pages.delete(name)
    },
  }
}

let shared: DeviceStore | undefined

/** This device's deviceStore. */
export function deviceStore(): DeviceStore {
  return (shared ??= typeof indexedDB === 'undefined' ? memoryStore() : databaseShelf())
}

/** Another deviceStore, for the tests. */
export function useDeviceStore(other: DeviceStore): void {
  shared = other
}
