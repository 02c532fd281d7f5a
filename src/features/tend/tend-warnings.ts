import type { LedgerAccount } from '@/core/materials/ledger/nutrient-ledger';
import type { SeasonLimits } from '@/core/schedule/rules/season-limits';
import type { Product } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import { etoOfDay, type StationPlace } from '@/core/weather/reference-et';
import { AVAILABLE_WATER, cropFactorsOf, cropUse, litresFor } from '@/core/weather/soil-store';
import { leachedMl, type WeatherDay } from '@/core/weather/weather-day';
import type { TendView } from './tend-scene';

/** Each unit's own over the season; what only some of a treatment's units got counts by their share. */
export function waterOf({ care, treatments, units }: TrialData): TendView['water'] {
  const watering = new Map(
    care.rules
      .filter(rule => rule.kind === 'water' && rule.material === null)
      .map(rule => [rule.id, rule]),
  );
  const given = care.acts.filter(
    act => !act.isSkipped && act.amount !== null && watering.has(act.ruleId),
  );
  if (given.length === 0) return [];
  const shareOf = (unitIds: readonly string[] | null, treatmentId: string): number => {
    const own = units.filter(unit => unit.treatmentId === treatmentId);
    return unitIds === null || own.length === 0
      ? 1
      : own.filter(unit => unitIds.includes(unit.id)).length / own.length;
  };
  return treatments.map(({ id, name }) => ({
    name,
    ml: given
      .filter(act => {
        const to = watering.get(act.ruleId)?.treatmentIds ?? [];
        return to.length === 0 || to.includes(id);
      })
      .reduce((sum, act) => sum + (act.amount ?? 0) * shareOf(act.unitIds, id), 0),
  }));
}

export function tooOften(
  accounts: readonly LedgerAccount[],
  products: readonly Product[],
): TendView['tooOften'] {
  return products.flatMap(({ name, mostApplications }) => {
    const planned = Math.max(
      0,
      ...accounts.map(account =>
        account.lines
          .filter(line => line.product === name)
          .reduce((sum, line) => sum + line.times, 0),
      ),
    );
    return mostApplications !== null && planned > mostApplications
      ? [{ product: name, planned, most: mostApplications }]
      : [];
  });
}

/** Frosts that have come and gone ask for nothing any more. */
export function ahead(limits: SeasonLimits, today: string): SeasonLimits {
  return limits.frostOn !== null && limits.frostOn < today
    ? { ...limits, frostOn: null, says: [] }
    : limits;
}

/** Rain that even a pot quite dry could not have held. */
export function leachedBy(
  weather: readonly WeatherDay[],
  mixMl: number | null,
  areaM2: number | undefined,
): TendView['leached'] {
  if (mixMl === null || areaM2 === undefined) return [];
  return weather.flatMap(({ day, rainMm }) => {
    const ml = leachedMl(rainMm, areaM2, mixMl * AVAILABLE_WATER['potting mix']);
    return ml > 0 ? [{ on: day, rainMm, ml }] : [];
  });
}

const THIRST_DAYS = 7;

export function thirstOf(
  crop: string,
  etShare: number,
  weather: readonly WeatherDay[],
  place: StationPlace,
  areaM2: number | undefined,
): TendView['thirst'] {
  const days = weather.slice(-THIRST_DAYS);
  if (days.length === 0 || areaM2 === undefined) return null;
  const etoMm = days.reduce((sum, day) => sum + etoOfDay(day, place), 0) / days.length;
  const factors = cropFactorsOf(crop);
  return {
    etoMm,
    weeklyMl: 1000 * litresFor(cropUse(etoMm, factors?.middle ?? 1) * etShare, 7, areaM2),
    isCropKnown: factors !== undefined,
  };
}
