import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { FINDING_PLACES } from '../src/shared/findingPlaces'

const CORE = join(__dirname, '../../core/src/main/java/app/korvel/core')

/** Every finding of the core, by its code. */
const codes = new Set(
  readdirSync(CORE, { recursive: true, encoding: 'utf8' })
    .filter((path) => path.endsWith('Finding.java'))
    .flatMap((path) => [...readFileSync(join(CORE, path), 'utf8').matchAll(/^ {2}([A-Z_]+)\(/gm)])
    .map(([, name]) => name!.toLowerCase().replaceAll('_', '-')),
)

describe('the places of findings', () => {
  it('belong to findings there are', () => {
    expect(codes.size).toBeGreaterThan(200)
    expect(Object.keys(FINDING_PLACES).filter((code) => !codes.has(code))).toEqual([])
  })

  it.each(Object.entries(FINDING_PLACES))('%s leads to a step of a client', (_, { to, words }) => {
    expect(to).toMatch(/^(screening|pulse|maximum|bands|prescription|sessions|details|check-in)\b/)
    expect(words.length).toBeGreaterThan(3)
  })
})
