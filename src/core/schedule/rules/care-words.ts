import { amountWords, strengthWords } from '@/core/materials/amount-words';
import { chosenAmount } from '@/core/materials/label/label-rate';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { CalendarDay } from '@/core/time/garden-day';
import type { CareRule, Moment, Repeat } from '@/core/trial/model/care-rule';
import { counted } from '@/core/words/plural';

/** How a day is written where the words are to stand. */
type DayWords = (day: CalendarDay) => string;

const WEEKDAYS = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const;

/** `every 14 days from the start until first flower`. */
export function whenWords(
  rule: CareRule,
  rules: readonly CareRule[],
  dayWords: DayWords = day => day,
): string {
  const until =
    rule.until === null
      ? ''
      : rule.until.kind === 'stage'
        ? ` until ${rule.until.stage}`
        : rule.until.kind === 'day'
          ? ` to ${dayWords(rule.until.day)}`
          : '';
  const itself = rule.runsByItself ? ', by itself' : '';
  return `${repeatWords(rule.repeat)} ${fromWords(rule.from, rules, dayWords)}${until}${itself}`;
}

function repeatWords(repeat: Repeat): string {
  switch (repeat.kind) {
    case 'once':
      return 'once,';
    case 'every':
      return repeat.days === 1
        ? 'daily'
        : repeat.days === 7
          ? 'weekly'
          : `every ${repeat.days} days`;
    case 'times':
      return `${repeat.times} times, ${counted(repeat.days, 'day')} apart,`;
    case 'weekdays':
      return `on ${repeat.weekdays.map(day => WEEKDAYS[day - 1]).join(', ')}`;
  }
}

function fromWords(from: Moment, rules: readonly CareRule[], dayWords: DayWords): string {
  switch (from.kind) {
    case 'day':
      return `from ${dayWords(from.day)}`;
    case 'start':
      return from.days === 0
        ? 'from the start'
        : from.days < 0
          ? `${counted(-from.days, 'day')} before the start`
          : `from day ${from.days}`;
    case 'stage':
      return from.days === 0
        ? `from ${from.stage}`
        : `${counted(Math.abs(from.days), 'day')} ${from.days < 0 ? 'before' : 'after'} ${from.stage}`;
    case 'after':
      return `${counted(from.days, 'day')} after ${rules.find(rule => rule.id === from.ruleId)?.name ?? 'what is gone'}`;
  }
}

/** `20 ml in 4.5 l, half strength, 0.5 l each`. */
export function materialWords(
  { material }: CareRule,
  productName: string,
  system: MeasureSystem = 'uk',
): string {
  if (!material) return '';
  const rate =
    material.rate.low === material.rate.high
      ? material.rate.asWritten
      : `${amountWords(chosenAmount(material.rate, material.choice), material.rate.of, system)} of ${material.rate.asWritten}`;
  return `${productName}, ${rate}, ${strengthWords(material.strength)}${material.waterMl === null ? '' : `, ${amountWords(material.waterMl, 'volume', system)} each`}`;
}
