import type { Drawing } from '@/api/client'

type Tree = Extract<Drawing, { shape: 'tree' }>
type Node = Tree['nodes'][number]
/** A node where it is drawn: its step across, its line down, in pixels of the drawing. */
export type Placed = Node & { x: number; y: number }
export type Line = {
  from: string
  to: string
  d: string
  words: string
  /** How far it goes up or down on its way across; '' for level. */
  rise: string
  label: { x: number; y: number }
}

const WIDE = 720
/** A step is never narrower: what is deeper grows to the side, and is moved along. */
const STEP = 78
/** In a narrower one the length stands alone, without the tube's size. */
const ROOMY = 108
const ROW = 30
const TOP = 34
const LEFT = 12
const NAMES = 150
const MIDDLE = 9
const MODULE = 24

/** Up or down from the left end to the right one; a pipe may be written from its right end. */
function rises(rise: string | undefined, isTurned: boolean): string {
  if (rise === undefined) return ''
  const isDown = /^[-−]/.test(rise) !== isTurned
  return `${isDown ? '↓' : '↑'} ${rise.replace(/^[-−]/, '')}`
}

/** Where the nodes of a tree stand and how its pipes run, each first across at its end's line. */
export function placed(tree: Tree): { nodes: Placed[]; pipes: Line[]; width: number; height: number } {
  const steps = Math.max(1, ...tree.nodes.map((node) => node.layer))
  const step = Math.max(STEP, (WIDE - LEFT - NAMES) / steps)
  const nodes = tree.nodes.map((node) => ({
    ...node,
    x: LEFT + node.layer * step,
    y: TOP + node.x * ROW,
  }))
  const at = new Map(nodes.map((node) => [node.id, node]))
  const pipes = tree.pipes.flatMap((pipe) => {
    const [one, other] = [at.get(pipe.from), at.get(pipe.to)]
    if (one === undefined || other === undefined) return []
    const isTurned = one.x > other.x
    const [from, to] = isTurned ? [other, one] : [one, other]
    // What leaves a module passes the one beside it.
    const leaves = from.x + (from.kind === 'outdoor' ? MODULE : MIDDLE)
    const bend = leaves + (to.x === from.x ? step / 2 : 16)
    return [
      {
        from: pipe.from,
        to: pipe.to,
        d: `M${leaves} ${from.y} H${bend} V${to.y} H${to.x}`,
        words: [pipe.length, step < ROOMY ? '' : pipe.gas?.replace(' in.', '')].filter(Boolean).join(' · '),
        rise: rises(pipe.rise, isTurned),
        label: { x: bend + 5, y: to.y - 5 },
      },
    ]
  })
  const lines = Math.max(0, ...nodes.map((node) => node.y))
  return { nodes, pipes, width: Math.max(WIDE, LEFT + NAMES + steps * step), height: lines + ROW }
}
