import { type BenchSpec, walked } from '../spec'

const list = (id: string): BenchSpec => ({
  id,
  parts: [{ check: `list.${id}`, subject: 'machine' }],
  rows: [walked()],
})

export const [prestart, set, pipe, owner] = ['prestart', 'set', 'pipe', 'owner'].map(list) as [
  BenchSpec,
  BenchSpec,
  BenchSpec,
  BenchSpec,
]
