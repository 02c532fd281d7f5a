import { chosenAmount } from '@/core/materials/label-rate';
import type { CareRule, Moment, Repeat } from '@/core/schedule/care-rule';
import type { DueTask } from '@/core/schedule/due-today';
import { counted } from '@/core/words/plural';
import { shortDay } from '@/features/frame/days';
import { amountWords, strengthWords } from '@/features/shelf/amounts';

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** `every 14 days from the start until first flower`. */
export function whenWords(rule: CareRule, rules: readonly CareRule[]): string {
  const until = rule.until === null ? '' : rule.until.kind === 'stage' ? ` until ${rule.until.stage}` : rule.until.kind === 'day' ? ` to ${shortDay(rule.until.day)}` : '';
  return `${repeatWords(rule.repeat)} ${fromWords(rule.from, rules)}${until}`;
}

function repeatWords(repeat: Repeat): string {
  switch (repeat.kind) {
    case 'once': return 'once,';
    case 'every': return repeat.days === 1 ? 'daily' : repeat.days === 7 ? 'weekly' : `every ${repeat.days} days`;
    case 'times': return `${repeat.times} times, ${counted(repeat.days, 'day')} apart,`;
    case 'weekdays': return `on ${repeat.weekdays.map(day => WEEKDAYS[day - 1]).join(', ')}`;
  }
}

function fromWords(from: Moment, rules: readonly CareRule[]): string {
  switch (from.kind) {
    case 'day': return `from ${shortDay(from.day)}`;
    case 'start': return from.days === 0 ? 'from the start' : from.days < 0 ? `${counted(-from.days, 'day')} before the start` : `from day ${from.days}`;
    case 'stage': return from.days === 0 ? `from ${from.stage}` : `${counted(Math.abs(from.days), 'day')} ${from.days < 0 ? 'before' : 'after'} ${from.stage}`;
    case 'after': return `${counted(from.days, 'day')} after ${rules.find(rule => rule.id === from.ruleId)?.name ?? 'what is gone'}`;
  }
}

/** `20 ml in 4.5 l, half strength, 0.5 l each`. */
export function materialWords({ material }: CareRule, productName: string): string {
  if (!material) return '';
  const rate = material.rate.low === material.rate.high ? material.rate.asWritten : `${amountWords(chosenAmount(material.rate, material.choice), material.rate.of)} of ${material.rate.asWritten}`;
  return `${productName}, ${rate}, ${strengthWords(material.strength)}${material.waterMl === null ? '' : `, ${amountWords(material.waterMl, 'volume')} each`}`;
}

/** What each unit gets in one step, as it is measured out. */
export function dueWords({ each, product, rule, units, trial }: DueTask): string {
  const things = counted(units, trial.unitWord);
  if (!rule.material || !product) return things;
  if (!each) return `${things}: ${product.name}, by a measure of the ${trial.unitWord} that is not known yet`;
  const amount = each.kind === 'mass' ? amountWords(each.g, 'mass') : amountWords(each.ml, 'volume');
  return `${things}: ${amount} ${product.name}${rule.material.waterMl === null ? '' : ` in ${amountWords(rule.material.waterMl, 'volume')}`} each`;
}
