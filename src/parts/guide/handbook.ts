import { group } from '@/texts/group'

/** A part of a page of the handbook, which is written in Markdown. */
export interface HandbookPart {
  title: string
  markdown: string
}
export interface HandbookPage {
  id: string
  title: string
  lead: string
  parts: HandbookPart[]
}

const files = import.meta.glob<string>('../../../docs/handbook/*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
})
/** The pages as they are in `docs/handbook`, by name; the list of them is the guide's own. */
const pages = /* @__PURE__ */ group(
  'handbook',
  Object.fromEntries(
    Object.entries(files)
      .map(([path, text]) => [path.replace(/^.*\/|\.md$/g, ''), text] as const)
      .filter(([id]) => id !== 'README'),
  ),
)

/** @returns null: there is no such page */
export function handbookPage(id: string): HandbookPage | null {
  const text = Object.hasOwn(pages, id) ? pages[id]! : null
  if (text === null) return null
  const [head = '', ...parts] = text.split(/^## /m)
  const [title = '', ...lead] = head.replace(/^# /, '').split('\n')
  return {
    ...{ id, title, lead: lead.join('\n').trim() },
    parts: parts.map((part) => {
      const [own = '', ...markdown] = part.split('\n')
      return { title: own, markdown: markdown.join('\n').trim() }
    }),
  }
}

export const handbookPages = (): HandbookPage[] => Object.keys(pages).flatMap((id) => handbookPage(id) ?? [])

/** Markdown without its signs, for the search and its answers. */
export const plainText = (markdown: string): string =>
  markdown
    .replaceAll(/\[([^\]]*)\]\([^)]*\)/g, '$1')
    .replaceAll(/[*`]/g, '')
    .replaceAll(/\s+/g, ' ')
    .trim()
