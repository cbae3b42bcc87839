import { isAdded, type Draft } from '../entered'

export type Node = { key: string; id: string; kind: string }
export type Pipe = { key: string; from: string; to: string }
/**
 * A unit, joint or box with the pipe it comes by; the pipe of one that has none yet bears the line's own key. `end` is
 * the end of the pipe that is the line's own: what is told is the other one.
 */
export type Line = Node & { pipe: string; end: 'from' | 'to' }

/**
 * The lines of a tree in the order of its nodes: to each the first pipe that leads to it, to a further outdoor unit the
 * one it feeds a joint by. A node without one has the place of a pipe that may still be told; no two lines share it.
 */
export function feeding(nodes: Node[], pipes: Pipe[]): Line[] {
  const left = [...pipes]
  const found = new Map<string, string>()
  const further = new Set(
    nodes
      .filter((node) => node.kind === 'outdoor')
      .slice(1)
      .map((node) => node.key),
  )
  const endOf = (node: Node) => (further.has(node.key) ? 'from' : 'to')
  // What the further outdoor units feed by is theirs before it is anybody's.
  for (const node of [...nodes].sort((a, b) => Number(further.has(b.key)) - Number(further.has(a.key)))) {
    const at = node.id === '' ? -1 : left.findIndex((pipe) => pipe[endOf(node)] === node.id)
    if (at >= 0) found.set(node.key, left.splice(at, 1)[0]?.key ?? '')
  }
  const paired = new Set(found.values())
  const isFree = (node: Node) =>
    isAdded(node.key) &&
    !paired.has(node.key) &&
    pipes.every((pipe) => pipe.key !== node.key || pipe[endOf(node)] === '')
  return nodes.map((node) => ({
    ...node,
    end: endOf(node),
    pipe: found.get(node.key) ?? (isFree(node) ? node.key : `+of ${node.key}`),
  }))
}

/** A key no row has yet. */
export function nextKey(keys: string[]): string {
  let n = 1
  while (keys.includes(`+${n}`)) n++
  return `+${n}`
}

/**
 * Where a line bears another name than it did, its pipes bear it too: its own, and those it feeds. While a name is empty
 * or another line's, as it may be on the way to a longer one, nothing follows it yet.
 *
 * @param last what each line was called when it had a name of its own; brought up to date
 */
export function follow(draft: Draft, lines: Line[], pipes: Pipe[], last: Map<string, Line>): void {
  const isOwn = (line: Line) => line.id !== '' && lines.filter((one) => one.id === line.id).length === 1
  const named = lines.filter(isOwn)
  const changed = named.filter((line) => (last.get(line.key)?.id ?? line.id) !== line.id)
  const was = changed.length === 1 ? last.get(changed[0]!.key) : undefined
  // A table that was read names many lines anew, and its pipes with them.
  if (was !== undefined)
    for (const pipe of pipes)
      for (const end of ['from', 'to'] as const)
        if (pipe[end] === was.id) draft.values[`pipes.${pipe.key}.${end}`] = changed[0]!.id
  for (const line of named) last.set(line.key, line)
}
