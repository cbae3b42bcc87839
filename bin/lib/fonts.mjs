// Unpacks the shipped fonts for the paper record: the PDF takes TrueType, the packages ship WOFF2.
import { mkdir, readFile, writeFile } from 'node:fs/promises'
import { decompress } from 'wawoff2'

const FONTS = {
  'text-400': '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff2',
  'text-700': '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff2',
  'figures-400': '@fontsource/barlow-condensed/files/barlow-condensed-latin-500-normal.woff2',
  'figures-700': '@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff2',
  'mono-400': '@fontsource/ibm-plex-mono/files/ibm-plex-mono-latin-400-normal.woff2',
}
const root = new URL('../../', import.meta.url)
const to = new URL('public/build/fonts/', root)
await mkdir(to, { recursive: true })
for (const [name, path] of Object.entries(FONTS)) {
  await writeFile(new URL(`${name}.ttf`, to), await decompress(await readFile(new URL(`node_modules/${path}`, root))))
}
