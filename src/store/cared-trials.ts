import type { CaredTrial } from '@/core/schedule/due-today';
import type { Place } from '@/core/trial/trial-data';
import { ExperimentalUnit, Treatment } from '@/core/trial/trial-data';
import { carePlansOf } from './care';
import { byTrial } from './by-trial';
import type { Database } from './database';
import { trialsOf } from './trials';
import { z } from 'zod';

type Row = Readonly<Record<string, unknown>>;

const Unit = ExperimentalUnit.unwrap().pick({ code: true, treatmentId: true, position: true });
const Stand = z.object({ shape: z.enum(['round', 'square']), widthMm: z.number(), depthMm: z.number() });
const Named = Treatment.unwrap().pick({ id: true, name: true });

/** Running trials with their care, in a handful of questions to the database, however many there are. */
export async function caredTrials(db: Database, gardenId: string): Promise<readonly (Omit<CaredTrial, 'unit'> & { readonly place: Pick<Place, 'shape' | 'widthMm' | 'depthMm'> | undefined })[]> {
  const running = (await trialsOf(db, gardenId)).filter(trial => trial.state === 'locked');
  const ids = running.map(trial => trial.id);
  if (ids.length === 0) return [];
  const plans = await carePlansOf(db, ids);
  const cared = running.filter(trial => (plans.get(trial.id)?.rules.length ?? 0) > 0);
  const rowsOf = async (table: string): Promise<ReadonlyMap<string, readonly Row[]>> => {
    const rows: readonly Row[] = await db(table).whereIn('trialId', cared.map(trial => trial.id)).orderBy('position');
    return byTrial(rows);
  };
  const [treatments, units] = [await rowsOf('treatments'), await rowsOf('units')];
  const firstPlaces = [...units.values()].flatMap(rows => (rows[0] ? [String(rows[0].placeId)] : []));
  const places: readonly Row[] = await db('places').whereIn('id', firstPlaces);
  return cared.map(trial => {
    const own = units.get(trial.id) ?? [];
    const place = places.find(each => each.id === own[0]?.placeId);
    return { trial, care: plans.get(trial.id)!, treatments: (treatments.get(trial.id) ?? []).map(row => Named.parse(row)), units: own.map(row => Unit.parse(row)), place: place && Stand.parse(place) };
  });
}
