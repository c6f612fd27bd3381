import { targetOf, zonesOf, type Span, type Zones } from '../api/korvel'
import type { RulerRow } from './ruler/layout'

/** The bands of a scheme on a span; none where the span is too small to steer by. */
export function zonesOn(
  span: Span,
  capBpm: number | null = null,
  scheme = 'voice-ladder',
): Promise<Zones | null> {
  return zonesOf({
    restingBpm: span.restingBpm,
    maximumBpm: span.maximumBpm,
    scheme,
    restingStandardErrorBpm: span.restingStandardErrorBpm,
    maximumStandardErrorBpm: span.maximumStandardErrorBpm,
    capBpm,
    rpeFamily: null,
    lowerThresholdBpm: null,
    upperThresholdBpm: null,
  }).catch(() => null)
}

/** A target in percent of reserve on a span; none where a cap lies below it. */
export function targetOn(
  span: Span,
  aim: { lowPercent: number; highPercent: number },
  capBpm: number | null = null,
): Promise<{ lowBpm: number; highBpm: number } | null> {
  return targetOf({
    restingBpm: span.restingBpm,
    maximumBpm: span.maximumBpm,
    basis: 'reserve',
    low: aim.lowPercent,
    high: aim.highPercent,
    capBpm,
    lowerThresholdBpm: null,
    upperThresholdBpm: null,
  }).catch(() => null)
}

/** A span as a row of a stack of rulers, with a target on it; none where it is too small. */
export async function rulerRow(
  label: string,
  span: Span,
  aim: { lowPercent: number; highPercent: number } | null,
  capBpm: number | null = null,
): Promise<RulerRow | null> {
  const [zones, target] = await Promise.all([
    zonesOn(span, capBpm),
    aim ? targetOn(span, aim, capBpm) : null,
  ])
  return zones && { zones, label, target }
}
