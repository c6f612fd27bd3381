import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'

const ROOT = join(__dirname, '../..')

function filesIn(folder: string, ending: RegExp): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    if (statSync(path).isDirectory()) return filesIn(path, ending)
    return ending.test(name) ? [path] : []
  })
}

/** The retired words of docs/words.md, with the term that stands for them. */
const RETIRED = readFileSync(join(ROOT, 'docs/words.md'), 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('| ') && !line.startsWith('| term'))
  .flatMap((line) => {
    const [, term, , notUsed] = line.split('|').map((cell) => cell.trim())
    return notUsed!
      .split('; ')
      .filter(Boolean)
      .map((word) => ({ word, term: term! }))
  })

const quoted = (text: string) =>
  [...text.matchAll(/"((?:[^"\\\n]|\\.)*)"|'((?:[^'\\\n]|\\.)*)'|`((?:[^`\\]|\\.)*)`/g)]
    .map(([, ...parts]) => parts.find((part) => part !== undefined)!)
    .map((part) => part.replace(/\$\{[^}]*\}/g, '…'))
    // A single word may be an id; what a person reads has spaces.
    .filter((part) => part.includes(' '))

/** What of a page is read: its texts, and the attributes that are read out. */
function shownBy(page: string): string[] {
  const [, template = ''] = /<template>([\s\S]*)<\/template>/.exec(page) ?? []
  const script = page.slice(0, page.indexOf('<template>'))
  const attributes = [
    ...template.matchAll(/\s(?:label|hint|title|placeholder|aria-label|mine|theirs)="([^"]*)"/g),
  ].map(([, text]) => text!)
  const bound = [...template.matchAll(/\s[:@][\w-]+="([^"]*)"|\{\{([\s\S]*?)\}\}/g)].flatMap(
    ([, attribute, words]) => quoted(attribute ?? words ?? ''),
  )
  const texts = template
    .replace(/\{\{[\s\S]*?\}\}/g, '…')
    .split(/<(?:[^<>"]|"[^"]*")*>/)
    .map((text) => text.replace(/\s+/g, ' ').trim())
  return [...texts, ...attributes, ...bound, ...quoted(withoutComments(script))]
}
const withoutComments = (code: string) =>
  code.replace(/\/\*[\s\S]*?\*\//g, '').replace(/(^|\s)\/\/.*$/gm, '')

const SHOWN: [string, string[]][] = [
  ...filesIn(join(ROOT, 'ui/src'), /\.vue$/).map((path): [string, string[]] => [
    path,
    shownBy(readFileSync(path, 'utf8')),
  ]),
  ...filesIn(join(ROOT, 'ui/src'), /(?<!\.d)\.ts$/).map((path): [string, string[]] => [
    path,
    quoted(withoutComments(readFileSync(path, 'utf8'))),
  ]),
  ...['core', 'studio', 'exchange', 'server']
    .flatMap((module) => filesIn(join(ROOT, module, 'src/main/java'), /\.java$/))
    .map((path): [string, string[]] => [
      path,
      [...withoutComments(readFileSync(path, 'utf8')).matchAll(/"((?:[^"\\\n]|\\.)*)"/g)]
        .map(([, text]) => text!)
        .filter((text) => text.includes(' ')),
    ]),
  ...[join(ROOT, 'README.md'), ...filesIn(join(ROOT, 'docs'), /(?<!words)\.md$/)].map(
    (path): [string, string[]] => [
      path,
      readFileSync(path, 'utf8').split(/```[\s\S]*?```|`[^`\n]*`|\]\([^)]*\)|\n\n/),
    ],
  ),
  ...filesIn(join(ROOT, 'exchange/src/main/resources'), /\.mustache$/).map(
    (path): [string, string[]] => [path, readFileSync(path, 'utf8').split(/<[^>]*>/)],
  ),
]

describe('the words that are shown', () => {
  it('are read from every page, finding and sheet', () => {
    expect(SHOWN.length).toBeGreaterThan(300)
    const all = SHOWN.flatMap(([, texts]) => texts)
    for (const known of ['Archived clients leave the list', 'Show the working', '(6–20), or']) {
      expect(all.some((text) => text.includes(known))).toBe(true)
    }
  })

  it.each(RETIRED)('do not say “$word” for “$term”', ({ word }) => {
    const pattern = new RegExp(`(?<![\\w-])${word.replace(/[.?]/g, '\\$&')}(?![\\w-])`)
    const found = SHOWN.flatMap(([path, texts]) =>
      texts
        .filter((text) => pattern.test(text))
        .map((text) => `${path.slice(ROOT.length)}: ${text}`),
    )
    expect(found).toEqual([])
  })
})
