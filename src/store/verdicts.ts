import { z } from 'zod';
import { Summary } from '@/core/trial/model/measure';
import type { Database } from '@/store/connection/database';
import { readable } from './rows';

/** A verdict as it stood when its trial was closed. `input` and `judgement` are the core's own objects. */
export const FrozenVerdict = z
  .object({
    trialId: z.string(),
    closedAt: z.string(),
    measureId: z.string(),
    input: z.string(),
    judgement: z.string(),
  })
  .readonly();
export type FrozenVerdict = z.infer<typeof FrozenVerdict>;

export async function freezeVerdict(db: Database, verdict: FrozenVerdict): Promise<void> {
  await db('verdicts').insert({ ...verdict });
}

export async function findFrozenVerdict(
  db: Database,
  trialId: string,
): Promise<FrozenVerdict | undefined> {
  const row: unknown = await db('verdicts').where({ trialId }).first();
  return row === undefined ? undefined : FrozenVerdict.parse(row);
}

const Sentences = z.object({ headline: z.string(), detail: z.string() });
const Calls = z.object({
  contrasts: z.array(z.object({ treatment: z.string(), call: z.string() })).readonly(),
});

/** What a frozen verdict said, in short: judged by its mean its sentences stand under `verdict`, by its kind on top. */
const FrozenWords = z.union([
  Calls.extend({ verdict: Sentences }),
  Calls.extend(Sentences.shape).transform(({ contrasts, ...verdict }) => ({ contrasts, verdict })),
]);
export type FrozenWords = z.infer<typeof FrozenWords> & { readonly closedAt: string };

export async function frozenWords(db: Database, trialId: string): Promise<FrozenWords | undefined> {
  const found = await findFrozenVerdict(db, trialId);
  return found && { ...FrozenWords.parse(JSON.parse(found.judgement)), closedAt: found.closedAt };
}

/** The one sentence of every closed trial, and what was called of each comparison, by trial. */
export async function frozenAnswers(
  db: Database,
): Promise<ReadonlyMap<string, { readonly headline: string; readonly calls: readonly string[] }>> {
  const rows: readonly unknown[] = await db('verdicts');
  return new Map(
    readable(rows, each => {
      const row = FrozenVerdict.parse(each);
      const { verdict, contrasts } = FrozenWords.parse(JSON.parse(row.judgement));
      const calls = contrasts.map(({ call }) => call);
      return [row.trialId, { headline: verdict.headline, calls }] as const;
    }),
  );
}

/** The judgements of closed trials whose main measure is made this way, and is the same of the library where it is read, as JSON. */
export async function frozenJudgements(
  db: Database,
  summary: string,
  kindKey: string | null,
): Promise<readonly string[]> {
  const rows: readonly unknown[] = await db('verdicts')
    .join('measures', 'measures.id', 'verdicts.measureId')
    .where({ 'measures.summary': summary, 'measures.kindKey': kindKey })
    .orderBy('verdicts.closedAt')
    .select(
      'verdicts.trialId',
      'verdicts.closedAt',
      'verdicts.measureId',
      'verdicts.input',
      'verdicts.judgement',
    );
  return rows.map(row => FrozenVerdict.parse(row).judgement);
}

/** Every frozen judgement with its trial's question, as JSON. */
export async function frozenTrials(db: Database): Promise<readonly FrozenTrial[]> {
  const rows: readonly unknown[] = await db('verdicts')
    .join('trials', 'trials.id', 'verdicts.trialId')
    .join('measures', 'measures.id', 'verdicts.measureId')
    .orderBy('verdicts.closedAt')
    .select(
      'verdicts.trialId',
      'verdicts.closedAt',
      'verdicts.judgement',
      'trials.question',
      'trials.crop',
      'measures.summary',
      'measures.kindKey',
      'measures.better',
    );
  return rows.map(row => FrozenTrial.parse(row));
}

const FrozenTrial = z
  .object({
    trialId: z.string(),
    closedAt: z.string(),
    question: z.string(),
    crop: z.string(),
    judgement: z.string(),
    summary: Summary,
    kindKey: z.string().nullable(),
    better: z.enum(['higher', 'lower']),
  })
  .readonly();
type FrozenTrial = z.infer<typeof FrozenTrial>;
