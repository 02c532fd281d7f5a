import { failure, type Result, success } from '@/core/result';
import { TrialId } from '@/core/trial/model/ids';
import type { Trial } from '@/core/trial/model/trial';
import { type Protocol, protocolOf, readProtocol } from '@/core/trial/shared/protocol';
import { type FileTrouble, fileSentence } from '@/core/trial/shared/shared-file';
import { trialFromProtocol } from '@/core/trial/shared/trial-from-protocol';
import { instantNow, today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { newId } from '@/service/garden/new-id';
import { keepTrial } from '@/service/trial/keep-trial';
import { findTrial } from '@/service/trial/trials';
import { database, inTransaction } from '@/store/connection/database';
import { keepReceivedPlan, receivedPlanOf } from '@/store/other-gardens';
import { trialsOf } from '@/store/trials';

/** The plan of a locked trial, for other gardens; undefined before the lock. @param isNamed whether the garden’s name goes with it */
export async function planFile(
  trialId: string,
  { isNamed, person }: { readonly isNamed: boolean; readonly person: string },
): Promise<Protocol | undefined> {
  const data = await findTrial(trialId);
  if (!data || data.trial.state === 'planned') return undefined;
  const { name } = await currentGarden();
  return protocolOf(data, { garden: isNamed ? name : '', person, madeAt: instantNow() });
}

/** Why a plan was not taken in. Nothing of it is kept then. */
export type PlanTrouble =
  | FileTrouble
  | { readonly kind: 'made-here' }
  | { readonly kind: 'run-here'; readonly question: string };

/** Begins a trial here from another garden’s plan: its own deal, codes and readings. */
export async function takePlanIn(
  input: unknown,
): Promise<Result<Pick<Trial, 'id' | 'question'>, PlanTrouble>> {
  const read = readProtocol(input);
  if (!read.ok) return read;
  const plan = read.value;
  const garden = await currentGarden();
  return inTransaction(async db => {
    const trials = await trialsOf(db, garden.id);
    if (trials.some(({ id }) => id === plan.id)) return failure({ kind: 'made-here' });
    const running = trials.find(({ protocolId }) => protocolId === plan.id);
    if (running) return failure({ kind: 'run-here', question: running.question });
    const data = trialFromProtocol(plan, garden.id, newId, today());
    await keepTrial(db, data);
    await keepReceivedPlan(db, data.trial.id, plan);
    return success({ id: TrialId.parse(data.trial.id), question: data.trial.question });
  });
}

/** The plan that a trial here was begun from. */
export async function receivedPlan(trialId: string): Promise<Protocol | undefined> {
  const read = readProtocol(await receivedPlanOf(database(), trialId));
  return read.ok ? read.value : undefined;
}

/** Why a plan was not taken in, for whoever brought it. */
export function planSentence(trouble: PlanTrouble): string {
  switch (trouble.kind) {
    case 'made-here':
      return 'This garden made that plan: its own trial runs by it already.';
    case 'run-here':
      return `“${trouble.question}” runs here by that plan already. A garden counts once.`;
    default:
      return fileSentence(trouble);
  }
}
