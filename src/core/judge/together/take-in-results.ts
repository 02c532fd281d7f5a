import { failure, type Result, success } from '@/core/result';
import { planDifferences } from '@/core/trial/shared/plan-differences';
import type { Protocol } from '@/core/trial/shared/protocol';
import type { ResultsFile } from '@/core/trial/shared/results-file';
import { asGardens } from './as-gardens';
import { gardenAnswer } from './garden-answer';
import type { GardenSource } from './gardens-together';

/** What is known of results that were taken in before. */
export interface HeldResults {
  readonly gardenId: string;
  readonly siteTrialId: string;
  readonly name: string;
  readonly writtenAt: string;
}

/** Why a garden’s results don’t belong to a plan, or can’t stand beside what is held. */
export type IntakeTrouble =
  | { readonly kind: 'other-plan'; readonly question: string }
  | { readonly kind: 'own-garden' }
  | { readonly kind: 'edited'; readonly differs: readonly string[] }
  | { readonly kind: 'same-garden'; readonly name: string }
  | { readonly kind: 'older'; readonly name: string; readonly heldFrom: string };

/** What taking results in does to what is held: a garden more, a later file in place of an earlier, or nothing at all. */
export type Intake = 'new' | 'newer' | 'same';

/** Whether a garden’s results belong to the plan, and what they are to those held. In any order, and twice without harm. */
export function intakeOf(
  plan: Protocol,
  ownGardenId: string,
  held: readonly HeldResults[],
  results: ResultsFile,
): Result<Intake, IntakeTrouble> {
  const { protocolId, gardenId, writtenAt, trial } = results;
  if (protocolId !== plan.id)
    return failure({ kind: 'other-plan', question: trial.trial.question });
  if (gardenId === ownGardenId) return failure({ kind: 'own-garden' });
  const { grave } = planDifferences(plan, trial);
  if (grave.length > 0) return failure({ kind: 'edited', differs: grave });
  const before = held.find(each => each.gardenId === gardenId);
  if (!before) return success('new');
  if (before.siteTrialId !== trial.trial.id)
    return failure({ kind: 'same-garden', name: before.name });
  if (before.writtenAt === writtenAt) return success('same');
  return before.writtenAt > writtenAt
    ? failure({ kind: 'older', name: before.name, heldFrom: before.writtenAt })
    : success('newer');
}

/** Why results are not taken in, for whoever brought them. */
export function intakeSentence(trouble: IntakeTrouble): string {
  switch (trouble.kind) {
    case 'other-plan':
      return `These results answer another plan: “${trouble.question}”.`;
    case 'own-garden':
      return 'These are this garden’s own results: its trial counts already.';
    case 'edited':
      return `That garden changed the plan, so its answer is to another question. ${trouble.differs.join(' ')}`;
    case 'same-garden':
      return `${trouble.name} has sent results of another trial by this plan already. A garden counts once.`;
    case 'older':
      return `What ${trouble.name} sent on ${trouble.heldFrom.slice(0, 10)} is held already and is newer than this file.`;
  }
}

/** A garden’s results as a source beside others: by its gardens, if its trial lies in several. */
export function sourcesOfResults(plan: Protocol, results: ResultsFile): readonly GardenSource[] {
  const { garden, gardenId, trial } = results;
  const { told } = planDifferences(plan, trial);
  return asGardens(trial).flatMap(({ block, about, data }): GardenSource[] => {
    const main = data.measures.find(measure => measure.isMain);
    if (!main) return [];
    return [
      {
        id: block === '' ? trial.trial.id : `${trial.trial.id} ${block}`,
        gardenId: block === '' ? gardenId : `${gardenId} ${block}`,
        name: block === '' ? garden.name : `${garden.name}: ${block}`,
        season: trial.trial.endsOn.slice(0, 4),
        crop: trial.trial.crop,
        site: block === '' ? garden : { ...garden, soil: about.soil || garden.soil },
        differs: told,
        typedFrom: null,
        isBlind: trial.trial.isBlind,
        answer: gardenAnswer(data, main),
      },
    ];
  });
}
