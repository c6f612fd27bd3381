import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, type EffectScope } from 'vue'
import { singleKeys } from '../src/shared/keys'
import { hearShortcuts, keysHere, useShortcuts } from '../src/shared/shortcuts'

let screen: EffectScope
beforeEach(() => {
  document.body.innerHTML = '<input name="rate"><button>Save</button><input type="checkbox">'
  singleKeys.value = true
  screen = effectScope()
  screen.run(hearShortcuts)
})
afterEach(() => screen.stop())

function press(key: string, on: string | null = null, held: KeyboardEventInit = {}) {
  const target = on ? document.querySelector(on)! : document.body
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...held })
  target.dispatchEvent(event)
  return event.defaultPrevented
}

describe('useShortcuts', () => {
  it('does what a key says, and not what a field is told', () => {
    const log = vi.fn()
    screen.run(() => useShortcuts({ list: [['l', 'log']], act: { l: log } }))
    expect(press('l')).toBe(true)
    expect(press('l', 'input[name=rate]')).toBe(false)
    expect(press('l', 'input[type=checkbox]')).toBe(true)
    expect(press('l', null, { altKey: true })).toBe(false)
    expect(log).toHaveBeenCalledTimes(2)
  })

  it('asks the innermost part first, and forgets it with its place on the screen', () => {
    const page = vi.fn()
    const card = vi.fn()
    screen.run(() => useShortcuts({ list: [['Esc', 'back']], act: { Escape: page } }))
    const inner = effectScope()
    inner.run(() => useShortcuts({ list: [['Esc', 'close the card']], act: { Escape: card } }))
    press('Escape')
    expect([page.mock.calls.length, card.mock.calls.length]).toEqual([0, 1])
    expect(keysHere.value).toEqual([
      ['Esc', 'close the card'],
      ['Esc', 'back'],
    ])
    inner.stop()
    press('Escape')
    expect([page.mock.calls.length, card.mock.calls.length]).toEqual([1, 1])
    expect(keysHere.value).toEqual([['Esc', 'back']])
  })

  it('lists a key once, however many parts have it', () => {
    const ruler = () => useShortcuts({ list: [['← →', 'on the ruler']] })
    screen.run(ruler)
    screen.run(ruler)
    expect(keysHere.value).toEqual([['← →', 'on the ruler']])
  })

  it('takes single characters only where they are wanted; ? always', () => {
    singleKeys.value = false
    const act = { u: vi.fn(), '?': vi.fn(), PageUp: vi.fn() }
    screen.run(() => useShortcuts({ list: [], act }))
    for (const key of Object.keys(act)) press(key)
    expect(Object.values(act).map((each) => each.mock.calls.length)).toEqual([0, 1, 1])
  })

  it('leaves space to what is pressed with it, and everything to a dialog', () => {
    const toggle = vi.fn()
    screen.run(() => useShortcuts({ list: [], act: { ' ': toggle } }))
    press(' ', 'button')
    expect(toggle).not.toHaveBeenCalled()
    press(' ')
    expect(toggle).toHaveBeenCalledTimes(1)
    document.body.insertAdjacentHTML('beforeend', '<div role="dialog"></div>')
    press(' ')
    expect(toggle).toHaveBeenCalledTimes(1)
  })

  it('knows a key that is held with Ctrl, in fields where it says so', () => {
    const print = vi.fn()
    const back = vi.fn()
    screen.run(() => useShortcuts({ list: [], act: { 'Ctrl+p': print }, inFields: true }))
    screen.run(() => useShortcuts({ list: [], act: { 'Ctrl+z': back } }))
    press('P', 'input[name=rate]', { ctrlKey: true })
    press('z', 'input[name=rate]', { metaKey: true })
    expect([print.mock.calls.length, back.mock.calls.length]).toEqual([1, 0])
  })

  it('may know its keys only as they are pressed', () => {
    const open = vi.fn()
    screen.run(() =>
      useShortcuts({ list: [['a b c …', 'open']], act: (key) => (key === 'b' ? open : undefined) }),
    )
    expect([press('a'), press('b')]).toEqual([false, true])
  })
})
