import { z } from 'zod';
import type { CaredTrial } from '@/core/schedule/tasks/cared-trial';
import { addDays, type CalendarDay } from '@/core/time/garden-day';
import type { Place } from '@/core/trial/model/place';
import { Treatment } from '@/core/trial/model/treatment';
import { ExperimentalUnit } from '@/core/trial/model/unit';
import type { Database } from '@/store/connection/database';
import { byTrial } from './by-trial';
import { carePlansOf, doneTasksOf } from './care';
import { putAwayIds } from './put-away';
import { jsonOf, readable } from './rows';
import { trialsOf } from './trials';

type Row = Readonly<Record<string, unknown>>;

const Unit = ExperimentalUnit.unwrap().pick({
  id: true,
  code: true,
  treatmentId: true,
  position: true,
  built: true,
});
const Stand = z.object({
  shape: z.enum(['round', 'square']),
  widthMm: z.number(),
  depthMm: z.number(),
});
const Named = Treatment.unwrap().pick({ id: true, name: true });

/** Running trials with their care, in a handful of questions to the database, however many there are. */
export async function caredTrials(
  db: Database,
  gardenId: string,
  today: CalendarDay,
): Promise<
  readonly (Omit<CaredTrial, 'unit'> & {
    readonly place: Pick<Place, 'shape' | 'widthMm' | 'depthMm'> | undefined;
  })[]
> {
  const away = await putAwayIds(db);
  const running = (await trialsOf(db, gardenId)).filter(
    trial => trial.state === 'locked' && !away.has(trial.id),
  );
  const ids = running.map(trial => trial.id);
  if (ids.length === 0) return [];
  const plans = await carePlansOf(db, ids);
  const cared = running.filter(trial => (plans.get(trial.id)?.rules.length ?? 0) > 0);
  const whole = cared.flatMap(trial => {
    const plan = plans.get(trial.id);
    return plan ? countedRules(plan) : [];
  });
  const done = await doneTasksOf(
    db,
    cared.map(trial => trial.id),
    addDays(today, -RECENT_DAYS),
    whole,
  );
  const rowsOf = async (table: string): Promise<ReadonlyMap<string, readonly Row[]>> => {
    const rows: readonly Row[] = await db(table)
      .whereIn(
        'trialId',
        cared.map(trial => trial.id),
      )
      .orderBy('position');
    return byTrial(rows);
  };
  const [treatments, units] = [await rowsOf('treatments'), await rowsOf('units')];
  const firstPlaces = [...units.values()].flatMap(rows =>
    rows[0] ? [String(rows[0].placeId)] : [],
  );
  const places: readonly Row[] = await db('places').whereIn('id', firstPlaces);
  return readable(cared, trial => {
    const own = units.get(trial.id) ?? [];
    const place = places.find(each => each.id === own[0]?.placeId);
    return {
      trial,
      care: plans.get(trial.id)!,
      done: done.get(trial.id) ?? [],
      treatments: (treatments.get(trial.id) ?? []).map(row => Named.parse(row)),
      units: own.map(row => Unit.parse({ ...row, built: jsonOf(row.built) })),
      place: place && Stand.parse(place),
    };
  });
}

// A step stays late for a week; it may have been put down as done a week before its day.
const RECENT_DAYS = 14;

/** Rules of which every act is asked for: their next step counts from the last, another rule waits for them, or a missed step ends them. */
function countedRules({
  rules,
  settings,
}: Pick<CaredTrial['care'], 'rules' | 'settings'>): readonly string[] {
  if (settings.missed === 'stop') return rules.map(rule => rule.id);
  const waited = new Set(
    rules.flatMap(rule => (rule.from.kind === 'after' ? [rule.from.ruleId] : [])),
  );
  return rules
    .filter(rule => rule.repeat.kind === 'times' || waited.has(rule.id))
    .map(rule => rule.id);
}
