import type { PlannedTrial } from '@/core/judge/planning/planned-input';
import type { PlannedReading, PlannedTruth } from '@/core/judge/planning/planned-reading';
import { guessedTruth, plannedGain } from '@/core/judge/planning/planning-guess';

/** What the gardener takes for granted of units treated alike, as it is typed. */
export interface AssumedForm {
  readonly spread: string;
  readonly level: string;
  readonly items: string;
}

interface Assumed {
  readonly plan: PlannedTrial | null;
  /** undefined while a field can't be read. */
  readonly truth: PlannedTruth | undefined;
  readonly troubles: Partial<Record<keyof AssumedForm, string>>;
}

/** @param ownCv spread of what this gardener weighed in closed trials */
export function guessedForm(
  { reading, margin, better }: Pick<PlannedTrial, 'reading' | 'margin' | 'better'>,
  ownCv: { readonly cv: number } | null,
): AssumedForm {
  const { cv, level } = guessedTruth(reading, margin, better);
  const isWeighed = reading.outcome === 'continuous';
  return {
    spread: String(
      reading.outcome === 'ordinal' ? cv : Math.round(100 * (isWeighed ? (ownCv?.cv ?? cv) : cv)),
    ),
    level: String(reading.outcome === 'proportion' ? 100 * level : level),
    items: String(reading.outcome === 'proportion' ? reading.outOf : 1),
  };
}

/** What a form comes to for a plan. */
export function assumedOf(plan: PlannedTrial | null, form: AssumedForm): Assumed {
  if (!plan) return { plan, truth: undefined, troubles: {} };
  const { reading, margin } = plan;
  const spread = numberIn(form.spread);
  const level = numberIn(form.level);
  const items = numberIn(form.items);
  const troubles = troublesOf(reading, { spread, level, items });
  if (Object.keys(troubles).length > 0) return { plan: null, truth: undefined, troubles };
  const plain = reading.outcome === 'proportion' ? level / 100 : level;
  return {
    plan:
      reading.outcome === 'proportion' ? { ...plan, reading: { ...reading, outOf: items } } : plan,
    truth: {
      cv: reading.outcome === 'ordinal' ? spread : spread / 100,
      level: plain,
      effect: plannedGain(reading, margin, plain),
    },
    troubles,
  };
}

function numberIn(written: string): number {
  return written.trim() === '' ? Number.NaN : Number(written.replace(',', '.'));
}

const MOST_ITEMS = 200;

function troublesOf(
  reading: PlannedReading,
  { spread, level, items }: Readonly<Record<keyof AssumedForm, number>>,
): Assumed['troubles'] {
  const isSpread =
    reading.outcome === 'ordinal' ? spread >= 0.1 && spread <= 20 : spread >= 1 && spread <= 200;
  const isItems = Number.isInteger(items) && items >= 1 && items <= MOST_ITEMS;
  return {
    ...(isSpread
      ? {}
      : {
          spread: reading.outcome === 'ordinal' ? 'Between 0.1 and 20.' : 'Between 1 and 200.',
        }),
    ...levelTrouble(reading, level),
    ...(reading.outcome !== 'proportion' || isItems
      ? {}
      : { items: `A whole number from 1 to ${MOST_ITEMS}.` }),
  };
}

function levelTrouble(reading: PlannedReading, level: number): Assumed['troubles'] {
  switch (reading.outcome) {
    case 'continuous':
    case 'count':
      return level > 0 ? {} : { level: 'A number above zero.' };
    case 'proportion':
      return level >= 1 && level <= 99 ? {} : { level: 'Between 1 and 99.' };
    case 'ordinal':
      return level >= reading.lowest && level <= reading.highest
        ? {}
        : { level: `Between ${reading.lowest} and ${reading.highest}.` };
    case 'time':
      return level >= 1 && level <= 3 * reading.watchedDays
        ? {}
        : { level: `Between 1 and ${3 * reading.watchedDays}.` };
  }
}
