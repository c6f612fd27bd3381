import { describe, expect, it } from 'vitest'
import { createApp, h, nextTick, ref } from 'vue'
import Choices from '../src/shared/Choices.vue'
import { ledTo } from '../src/shared/oneStop'

const OPTIONS = ['Walk', 'Cycle', 'Row'].map((name) => ({ value: name, name }))

function show(first: unknown, more: { multiple?: boolean; clearable?: boolean } = {}) {
  const chosen = ref(first)
  const root = document.createElement('div')
  document.body.replaceChildren(root)
  createApp(() =>
    h(Choices<unknown>, {
      options: OPTIONS,
      modelValue: chosen.value,
      'onUpdate:modelValue': (value: unknown) => (chosen.value = value),
      ...more,
    }),
  ).mount(root)
  const buttons = () => [...root.querySelectorAll('button')]
  const stops = () =>
    buttons()
      .filter(({ tabIndex }) => tabIndex === 0)
      .map((each) => each.textContent.trim())
  const press = async (key: string) => {
    document.activeElement!.dispatchEvent(
      new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }),
    )
    await nextTick()
  }
  return { chosen, buttons, stops, press }
}

describe('a group of choices', () => {
  it('is one stop, at what is chosen', () => {
    expect(show('Cycle').stops()).toEqual(['Cycle'])
    expect(show(null).stops()).toEqual(['Walk'])
    expect(show(['Row'], { multiple: true }).stops()).toEqual(['Row'])
  })

  it('goes along with the arrows, round the ends', async () => {
    const { chosen, buttons, press, stops } = show('Cycle')
    await nextTick()
    buttons()[1]!.focus()
    await press('ArrowRight')
    expect(chosen.value).toBe('Row')
    await press('ArrowDown')
    expect(chosen.value).toBe('Walk')
    await press('ArrowLeft')
    expect(chosen.value).toBe('Row')
    await press('Home')
    expect([chosen.value, stops()]).toEqual(['Walk', ['Walk']])
  })

  it('moves among several without changing them', async () => {
    const { chosen, buttons, press, stops } = show(['Walk'], { multiple: true })
    await nextTick()
    buttons()[0]!.focus()
    await press('ArrowRight')
    expect([chosen.value, stops()]).toEqual([['Walk'], ['Cycle']])
    buttons()[1]!.click()
    await nextTick()
    buttons()[0]!.click()
    await nextTick()
    expect(chosen.value).toEqual(['Cycle'])
  })

  it('is cleared only where it may be', async () => {
    const fixed = show('Walk')
    fixed.buttons()[0]!.click()
    expect(fixed.chosen.value).toBe('Walk')
    const clearable = show('Walk', { clearable: true })
    clearable.buttons()[0]!.click()
    expect(clearable.chosen.value).toBeNull()
  })

  it('leaves other keys alone', () => {
    expect(ledTo('Tab', 0, 3)).toBeUndefined()
    expect(ledTo('5', 0, 3)).toBeUndefined()
    expect(ledTo('End', 0, 3)).toBe(2)
  })
})
