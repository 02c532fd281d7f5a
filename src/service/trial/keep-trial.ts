import type { Product } from '@/core/trial/model/product';
import type { TrialData } from '@/core/trial/model/trial-data';
import { instantNow } from '@/service/garden/clock';
import { freezePlanned } from '@/service/judge/freeze';
import { addCareAct, changeCarePlan, putCareRule } from '@/store/care';
import { logChange } from '@/store/changes';
import { type Database, inTransaction } from '@/store/connection/database';
import { addAllEntries } from '@/store/entries';
import { addGarden, changeGarden, firstGarden, Garden, type NewGarden } from '@/store/gardens';
import { putLayout } from '@/store/layouts';
import { addAmendment, addPrediction, addRegret } from '@/store/plan-records';
import { productsOf, putProduct } from '@/store/products';
import { putQuestion } from '@/store/questions';
import { addTrial, trialsOf } from '@/store/trials';

/** Takes in whole trials with their garden, where nothing was entered yet. @returns false where a trial stands already */
export function keepSeason(
  garden: NewGarden,
  trials: readonly TrialData[],
  shelf: readonly Product[] = [],
): Promise<boolean> {
  return inTransaction(async db => {
    const standing = await firstGarden(db);
    if (standing && (await trialsOf(db, standing.id)).length > 0) return false;
    const kept = Garden.parse({ ...garden, id: standing?.id ?? garden.id });
    await (standing ? changeGarden(db, kept) : addGarden(db, kept));
    for (const product of shelf) await putProduct(db, kept.id, product);
    for (const data of trials)
      await keepTrial(db, { ...data, trial: { ...data.trial, gardenId: kept.id } });
    return true;
  });
}

async function keepCare(db: Database, { trial, care, products }: TrialData): Promise<void> {
  const onShelf = new Set((await productsOf(db, trial.gardenId, true)).map(product => product.id));
  for (const product of products)
    if (!onShelf.has(product.id)) await putProduct(db, trial.gardenId, product);
  const { settings, stages, bottles, rules, acts } = care;
  await changeCarePlan(db, trial.id, { settings, stages, bottles });
  for (const [position, rule] of rules.entries()) await putCareRule(db, trial.id, rule, position);
  for (const act of acts) await addCareAct(db, trial.id, act);
}

/** Writes a whole trial with its care and its verdict. What the shelf holds already stays as it is. */
export async function keepTrial(db: Database, data: TrialData): Promise<void> {
  await addTrial(db, data.trial);
  await putQuestion(db, data.trial.id, data);
  if (data.layout)
    await putLayout(db, data.trial, {
      layout: data.layout,
      places: data.places,
      blocks: data.blocks,
      units: data.units,
    });
  await addAllEntries(db, data.trial.id, data);
  await keepCare(db, data);
  for (const prediction of data.predictions) await addPrediction(db, data.trial.id, prediction);
  for (const amendment of data.amendments) await addAmendment(db, data.trial.id, amendment);
  for (const regret of data.regrets) await addRegret(db, data.trial.id, regret);
  if (data.trial.closedAt !== null) await freezePlanned(db, data, data.trial.closedAt);
  await logChange(db, {
    at: instantNow(),
    trialId: data.trial.id,
    what: 'taken in whole',
    subjectId: null,
    detail: '{}',
  });
}
