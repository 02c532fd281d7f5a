import type { AuditFinding } from '@/core/design/audit/audit-view';
import { AUDIT_CHECKS, fairnessAudit } from '@/core/design/audit/fairness-audit';
import { type PriorCv, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import {
  type Analysis,
  type AnalysisSpec,
  analyse,
  mainMeasure,
  plannedSpec,
} from '@/core/judge/units/trial-analysis';
import type { VerdictDetails } from '@/core/judge/verdict/verdict-details';
import { failure, type Result, success } from '@/core/result';
import { isKeyOpen } from '@/core/trial/key';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { currentGarden } from '@/service/garden/garden';
import { pooledCv } from '@/service/trial/pooled-cv';
import { findTrial, trialLog } from '@/service/trial/trials';
import { rememberedChance } from './remembered-chance';
import { rememberedJudge } from './remembered-judge';
import { verdictDetails } from './verdict-details';

/** The look that was planned, with how own trials have spread so far; for another measure without a margin of its own. */
export async function analysisSpecOf(data: TrialData, measureId?: string): Promise<AnalysisSpec> {
  const { system } = await currentGarden();
  const planned = { ...plannedSpec(data, await priorCv(data)), system };
  const measure = data.measures.find(each => each.id === measureId);
  return measure ? { ...planned, measureId: measure.id, margin: measure.margin } : planned;
}

/** A trial judged as it was planned. */
export function verdictUnder(data: TrialData, spec: AnalysisSpec): Analysis {
  return analyse(data, spec, rememberedJudge);
}

/** What a verdict's page asks for once its verdict stands. */
export interface VerdictPage {
  /** The whole trial; while it runs, what was guessed stays sealed. */
  readonly data: TrialData;
  readonly details: VerdictDetails;
  readonly audit: { readonly findings: readonly AuditFinding[]; readonly checks: number };
  /** What was done to the trial, newest first. */
  readonly log: readonly { readonly at: string; readonly what: string }[];
}

/** @param measureId what is judged instead of the main measure */
export async function verdictPage(
  trialId: string,
  measureId?: string,
): Promise<Result<VerdictPage, TrialTrouble>> {
  const data = await findTrial(trialId);
  if (!data) return failure({ kind: 'no-such-trial' });
  if (data.trial.state === 'planned') return failure({ kind: 'not-locked' });
  if (!isKeyOpen(data.trial)) return failure({ kind: 'key-shut' });
  const spec = await analysisSpecOf(data, measureId);
  const findings = fairnessAudit(data, rememberedChance(data, spec.priorCv.cv));
  return success({
    data: data.trial.state === 'closed' ? data : { ...data, predictions: [] },
    details: await verdictDetails(data, spec, verdictUnder(data, spec), findings),
    audit: { findings, checks: Object.keys(AUDIT_CHECKS).length },
    log: (await trialLog(trialId)).map(({ at, what }) => ({ at, what })),
  });
}

async function priorCv(data: TrialData): Promise<PriorCv> {
  const own = await pooledCv(mainMeasure(data));
  return own ? { cv: own.cv, source: 'own-trials' } : STARTING_GUESS_CV;
}
