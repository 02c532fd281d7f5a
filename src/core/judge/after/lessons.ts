import type { Judgement } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { PositionCheck } from '@/core/judge/sensitivity/position-check';
import { adherenceOf } from '@/core/schedule/adherence/adherence';
import { careTasks } from '@/core/schedule/tasks/due-today';
import type { CalendarDay } from '@/core/time/garden-day';
import { MISHAP_WORDS } from '@/core/trial/model/incident';
import type { TrialData } from '@/core/trial/model/trial-data';
import { counted, pluralOf } from '@/core/words/plural';
import { type ExpectedAgain, expectedAgainWords } from './expected-again';
import { type PartsAndUnits, partsOrUnitsWords } from './parts-or-units';

/** A judgement with what it was made of. */
interface Judged {
  readonly input: Pick<JudgeInput, 'outcome'>;
  readonly judgement: Pick<Judgement, 'anova' | 'groups'>;
}

/** How much units treated alike differed, as a share of the mean of all; null where nothing was left to tell. */
export function spreadWithin({ input, judgement: { anova, groups } }: Judged): number | null {
  if (input.outcome !== 'continuous') return null;
  const residual = anova.find(row => row.term === 'residual');
  const mean = groups.reduce((sum, group) => sum + group.mean, 0) / Math.max(1, groups.length);
  return residual && residual.df > 0 && residual.ms > 0 && mean > 0
    ? Math.sqrt(residual.ms) / mean
    : null;
}

/**
 * What a trial teaches the next one of its kind, in sentences.
 *
 * @param spread how much units treated alike differed; null where what is judged has no mean
 * @param again what the first of several may be expected to do again
 * @param split what of that lies in the parts that were read of each; null where it was read whole
 */
export function lessonsOf(
  data: TrialData,
  {
    spread,
    split,
    again,
    position,
    today,
  }: {
    readonly spread: number | null;
    readonly split: PartsAndUnits | null;
    readonly again: ExpectedAgain | null;
    readonly position: PositionCheck | null;
    readonly today: CalendarDay;
  },
): readonly string[] {
  const { trial, incidents, care } = data;
  const words = pluralOf(trial.unitWord);
  const causes = new Map<string, number>();
  for (const { cause } of incidents)
    if (cause !== null) causes.set(MISHAP_WORDS[cause], (causes.get(MISHAP_WORDS[cause]) ?? 0) + 1);
  const missed = adherenceOf(
    care.rules,
    careTasks(data, today),
    data.treatments.map(treatment => treatment.id),
    data.units,
  ).reduce((sum, each) => sum + (each.planned - each.done), 0);
  return [
    ...(spread === null
      ? []
      : [
          `${words.charAt(0).toUpperCase()}${words.slice(1)} treated alike differed by ${Math.round(100 * spread)}%: the numbers of the next one are reckoned with that.`,
        ]),
    ...(split ? [partsOrUnitsWords(split, trial.unitWord)] : []),
    ...(again ? [expectedAgainWords(again)] : []),
    ...[...causes].map(
      ([what, count]) =>
        `${counted(count, trial.unitWord)}: ${what}. Guard against it, or raise some to spare.`,
    ),
    ...(missed >= 1
      ? [
          `${counted(Math.round(missed), 'task')} ${Math.round(missed) === 1 ? 'was' : 'were'} missed: plan fewer, or somebody to help.`,
        ]
      : []),
    ...(position?.gradientP != null && position.gradientP < 0.05
      ? [`The bench rose towards ${position.towards}: cut the blocks across that.`]
      : []),
    ...(data.units.every(unit => unit.startSize === null)
      ? ['No start sizes were taken: measure before the deal, and it is dealt alike.']
      : []),
    ...new Set(data.regrets.map(({ text, by }) => `“${text}”${by === '' ? '' : ` (${by})`}`)),
    ...(data.predictions.length === 0
      ? ['Nobody had said what they expected: seal a guess before the start.']
      : []),
  ];
}
