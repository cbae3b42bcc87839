import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import type { ProblemView } from '@/api/client'
import { keeping } from './keeping'

/** A write that has not arrived yet, as it is kept on this device. */
export type Waiting = {
  id: number
  key: string
  person: number
  who: string
  /** Theirs; nobody of another one is told who it is. */
  company?: string
  /** So often it failed while the server answered. */
  fails?: number
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
  /** Why the server would not take it; `aside` when it only failed, again and again. */
  problem?: ProblemView & { aside?: boolean }
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

/**
 * Keeps in the first as long as that takes it, else in memory: a browser that lets nothing be kept, or whose room is
 * full, is no reason not to send. What lies in memory has an id below 0.
 */
export function sturdyStore(shelf: DeviceStore, memory: DeviceStore = memoryStore()): DeviceStore {
  async function orElse<T>(kept: () => Promise<T>, held: () => Promise<T>): Promise<T> {
    try {
      return await kept()
    } catch {
      keeping.fails = true
      return held()
    }
  }
  return {
    add: (item) =>
      orElse(
        () => shelf.add(item),
        async () => -(await memory.add(item)),
      ),
    put: (item) =>
      item.id < 0
        ? memory.put({ ...item, id: -item.id })
        : orElse(
            () => shelf.put(item),
            async () => undefined,
          ),
    all: async () => [
      ...(await orElse(
        () => shelf.all(),
        async () => [],
      )),
      ...(await memory.all()).map((item) => ({ ...item, id: -item.id })),
    ],
    drop: (id) =>
      id < 0
        ? memory.drop(-id)
        : orElse(
            () => shelf.drop(id),
            async () => undefined,
          ),
    arrived: (key, at) =>
      orElse(
        () => shelf.arrived(key, at),
        () => memory.arrived(key, at),
      ),
    placeOf: async (key) =>
      (await memory.placeOf(key)) ??
      (await orElse(
        () => shelf.placeOf(key),
        async () => undefined,
      )),
    keepPage: (name, page) =>
      orElse(
        () => shelf.keepPage(name, page),
        () => memory.keepPage(name, page),
      ),
    page: async (name) =>
      (await memory.page(name)) ??
      (await orElse(
        () => shelf.page(name),
        async () => undefined,
      )),
    async forgetPages(beginning) {
      await memory.forgetPages(beginning)
      await orElse(
        () => shelf.forgetPages(beginning),
        async () => undefined,
      )
    },
  }
}

let shared: DeviceStore | undefined

/** This device's deviceStore. */
export function deviceStore(): DeviceStore {
  return (shared ??= sturdyStore(databaseShelf()))
}

/** Another deviceStore, for the tests. */
export function useDeviceStore(other: DeviceStore): void {
  shared = other
}
