import { marked } from 'marked'

/** The guide as docs/guide has it, with its pictures. */
const TEXTS = import.meta.glob<string>('/docs/guide/*.md', { query: '?raw', import: 'default', eager: true })
const PICTURES = import.meta.glob<string>('/docs/guide/pictures/*.webp', {
  query: '?url',
  import: 'default',
  eager: true,
})

export type GuidePage = {
  /** The question it is about; 0 for how all of it works. */
  gate: number
  title: string
  html: string
}

/** A page from its file: the first line is its name, pictures are put in. */
export function read(path: string, text: string, pictures: Record<string, string>): GuidePage {
  const [first = '', ...rest] = text.split('\n')
  const gate = Number(/(\d+)-[^/]*\.md$/.exec(path)?.[1] ?? 0)
  const body = rest
    .join('\n')
    .replace(/\]\((pictures\/[^)]+)\)/g, (_, file: string) => `](${pictures[`/docs/guide/${file}`] ?? file})`)
  return {
    gate,
    title: first.replace(/^#\s*(?:\d+\.\s*)?/, ''),
    html: marked.parse(body, { async: false }),
  }
}

export const PAGES: GuidePage[] = Object.entries(TEXTS)
  .map(([path, text]) => read(path, text, PICTURES))
  .sort((a, b) => a.gate - b.gate)

/** Fetches the pictures ahead, so that they are there when the signal is not. */
export function fetchPictures(): void {
  for (const address of Object.values(PICTURES)) new Image().src = address
}
