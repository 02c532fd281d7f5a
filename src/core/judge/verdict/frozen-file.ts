import { z } from 'zod';
import { judge, judgeWithoutShuffle } from '@/core/judge/outcomes/judge';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { type AnalysisSpec, plannedSpec } from '@/core/judge/units/trial-analysis';
import { failure, type Result, success } from '@/core/result';
import '@/core/trial/forms/plain-errors';
import { TrialData } from '@/core/trial/model/trial-data';
import { plannedVerdict } from './planned-verdict';

/** A verdict with all it rests on, as an open file: the plan, the readings, what the judge was given, what it said. */
export interface FrozenFile {
  readonly format: 'turnspit-frozen';
  readonly version: 1;
  /** Of the program that froze it. */
  readonly code: string;
  readonly closedAt: string;
  readonly data: TrialData;
  readonly look: AnalysisSpec;
  readonly input: unknown;
  readonly judgement: unknown;
}

const MOST_SHUFFLES = 1_000_000;

const Frozen = z.object({
  format: z.literal('turnspit-frozen'),
  version: z.literal(1),
  code: z.string().max(40),
  closedAt: z.string().max(40),
  data: TrialData,
  look: z.object({
    measureId: z.string(),
    shuffles: z.number().int().min(0).max(MOST_SHUFFLES),
    seed: z.number().int().min(0),
    priorCv: z.object({
      cv: z.number().positive(),
      source: z.enum(['own-trials', 'starting-guess']),
    }),
  }),
  input: z.record(z.string(), z.unknown()),
  judgement: z.record(z.string(), z.unknown()),
});

/** What a later look found. */
export interface FrozenCheck {
  readonly code: string;
  readonly closedAt: string;
  /** The readings and the plan still make what the judge was given. */
  readonly isSameInput: boolean;
  /** From what it was given then, the judge still says the same. */
  readonly isSameJudgement: boolean;
  readonly differences: readonly string[];
}

/** Looks whether a frozen verdict still comes out of its own plan, data and seed. @returns a sentence where it is no such file */
export function checkFrozen(read: unknown): Result<FrozenCheck, string> {
  const parsed = Frozen.safeParse(read);
  if (!parsed.success)
    return failure(
      `That is no frozen verdict: ${parsed.error.issues[0]?.path.join('.') ?? ''} ${parsed.error.issues[0]?.message ?? ''}`.trim(),
    );
  const { data, look, judgement, code, closedAt } = parsed.data;
  const input = underTodaysNames(parsed.data.input);
  const planned = { ...plannedSpec(data, look.priorCv), shuffles: look.shuffles, seed: look.seed };
  const now = plannedVerdict(data, planned, judgeWithoutShuffle);
  const made = plain(now.input);
  const inputDifferences = differencesOf(plain(input), knownThen(input, made), 'input');
  const given = completed(input, look.priorCv);
  const judgedDifferences =
    isShapedLike(given, made) && given.shuffles <= MOST_SHUFFLES
      ? judgedAgain(given, judgement)
      : ['input: it is not shaped as what a judge is given, so it was not judged'];
  return success({
    code,
    closedAt,
    isSameInput: inputDifferences.length === 0,
    isSameJudgement: judgedDifferences.length === 0,
    differences: [...inputDifferences, ...judgedDifferences].slice(0, 20),
  });
}

/** What the judge says of it today, beside what was said then. */
function judgedAgain(given: JudgeInput, judgement: unknown): readonly string[] {
  const again = plain(judge(given));
  return differencesOf(plain(judgement), knownThen(judgement, again), 'judgement');
}

/**
 * Whether what a file says the judge was given has the shape of what the judge is given of the same data today: key by key, list by
 * list. Anything else in a file is not let near the sums.
 */
function isShapedLike(given: unknown, made: unknown): given is JudgeInput {
  if (made === null || given === null) return true;
  if (typeof made === 'number') return typeof given === 'number' && Number.isFinite(given);
  if (typeof made !== 'object') return typeof given === typeof made;
  if (typeof given !== 'object') return false;
  if (Array.isArray(made))
    return (
      Array.isArray(given) &&
      given.length === made.length &&
      made.every((each, i) => isShapedLike(given[i], each))
    );
  const found = new Map(Object.entries(given));
  return Object.entries(made).every(
    ([key, value]) => LATER.has(key) || (found.has(key) && isShapedLike(found.get(key), value)),
  );
}

/** Names that the judge's input had in files of earlier versions. */
const RENAMED: Readonly<Record<string, string>> = {
  isEitherWay: 'hasNoGoodDirection',
  kind: 'outcome',
};

function underTodaysNames(
  input: Readonly<Record<string, unknown>>,
): Readonly<Record<string, unknown>> {
  return Object.fromEntries(
    Object.entries(input).map(([key, value]) => [RENAMED[key] ?? key, value]),
  );
}

/** What files of earlier versions did not hold yet. */
const LATER: ReadonlySet<string> = new Set([
  'agreed',
  'effects',
  'interactions',
  'outcome',
  'hasNoGoodDirection',
  'countedClass',
  'overall',
  'effect',
  'reach',
  'share',
  'came',
  'doses',
  'given',
  'confounded',
  'trend',
  'levelsOff',
]);

/** What is there today, without what later versions added to it, however deep. */
function knownThen(then: unknown, now: unknown): unknown {
  if (typeof now !== 'object' || now === null) return now;
  const before: Readonly<Record<string, unknown>> =
    typeof then === 'object' && then !== null ? { ...then } : {};
  if (Array.isArray(now)) return now.map((each, i) => knownThen(before[String(i)], each));
  return Object.fromEntries(
    Object.entries(now)
      .filter(([key]) => key in before || !LATER.has(key))
      .map(([key, value]) => [key, knownThen(before[key], value)]),
  );
}

/** What the judge's input did not say in files of earlier versions, whose judge by kind took no shuffles. */
function completed(
  input: Readonly<Record<string, unknown>>,
  priorCv: AnalysisSpec['priorCv'],
): unknown {
  const units: unknown = input.units;
  const subsamples = Array.isArray(units) ? units.length : 0;
  return { outcome: 'continuous', subsamples, shuffles: 0, priorCv, ...input };
}

/** As a file holds it: nothing undefined, no −0. */
function plain(value: unknown): unknown {
  return JSON.parse(JSON.stringify(value));
}

const SAME = 1e-9;

/** Where two plain values differ, by path; numbers to nine digits, since another machine's last digit is no other verdict. */
function differencesOf(a: unknown, b: unknown, path: string): readonly string[] {
  if (typeof a === 'number' && typeof b === 'number')
    return Math.abs(a - b) <= SAME * Math.max(1, Math.abs(a), Math.abs(b))
      ? []
      : [`${path}: ${a} then, ${b} now`];
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null)
    return a === b ? [] : [`${path}: ${JSON.stringify(a)} then, ${JSON.stringify(b)} now`];
  const [left, right] = [new Map(Object.entries(a)), new Map(Object.entries(b))];
  return [...new Set([...left.keys(), ...right.keys()])].flatMap(key =>
    differencesOf(left.get(key) ?? null, right.get(key) ?? null, `${path}.${key}`),
  );
}
