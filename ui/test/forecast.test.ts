import { describe, expect, it } from 'vitest'
import type { Forecast } from '../src/api/korvel'
import { apart, at, line, recorded, ribbon } from '../src/forecast/drawing'
import { scale, steps } from '../src/shared/chart/scale'

const forecast = {
  restingBpm: 64,
  maximumBpm: 176,
  seconds: 6,
  everySeconds: 2,
  bpm: [64, 90, 100],
  lowBpm: [62, 86, 95],
  highBpm: [66, 94, 105],
  percent: [0, 23, 32],
  lowPercent: [-2, 20, 28],
  highPercent: [2, 27, 37],
} as unknown as Forecast
const scales = { x: scale(0, 10, 0, 100), y: (bpm: number) => 200 - bpm }

describe('a forecast as it is drawn', () => {
  it('has its points where their seconds are, the first after one', () => {
    expect(line(forecast, scales)).toBe('M10.0 136.0L30.0 110.0L50.0 100.0')
  })

  it('runs its ribbon along the upper edge and back along the lower', () => {
    expect(ribbon(forecast, scales)).toBe(
      'M10.0 134.0L30.0 106.0L50.0 95.0L50.0 105.0L30.0 114.0L10.0 138.0Z',
    )
  })

  it('is read at the point at or before a second', () => {
    expect(at(forecast, 1)).toEqual({ bpm: [64, 62, 66], percent: [0, -2, 2] })
    expect(at(forecast, 4).bpm[0]).toBe(90)
    expect(at(forecast, 99).percent).toEqual([32, 28, 37])
    expect(at(forecast, 0).bpm[0]).toBe(64)
  })
})

describe('a recording over it', () => {
  it('breaks where there was no rate, and ends where it is to end', () => {
    const bpm = [80, 81, 0, 83, 84]
    expect(recorded(bpm, Infinity, scales)).toBe('M10.0 120.0L20.0 119.0M40.0 117.0L50.0 116.0')
    expect(recorded(bpm, 2, scales)).toBe('M10.0 120.0L20.0 119.0')
    expect(recorded([], Infinity, scales)).toBe('')
  })

  it('has no more points than pixels', () => {
    const long = Array.from({ length: 5400 }, () => 120)
    const narrow = { x: scale(0, 5400, 0, 540), y: scales.y }
    expect(recorded(long, Infinity, narrow).split(/[ML]/).length - 1).toBe(540)
  })
})

describe('labels', () => {
  it('leave each other room, the first one always shown', () => {
    expect(apart([100, 108, 115, 131], (bpm) => bpm, 15)).toEqual([100, 115, 131])
  })

  it('stand at whole steps of a span', () => {
    expect(steps(0, 130, 60)).toEqual([0, 60, 120])
  })
})
