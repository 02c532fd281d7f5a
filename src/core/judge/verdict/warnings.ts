import { aliasingOf } from '@/core/design/audit/aliasing';
import { aliasingWords } from '@/core/design/audit/aliasing-words';
import { distinct, isOneEachCell, type TrialModel } from '@/core/design/linear/trial-model';
import { additivityP } from '@/core/judge/outcomes/additivity';
import type { Contrast, Judgement, JudgeWarning } from '@/core/judge/outcomes/judgement';
import type { EffectError } from '@/core/judge/outcomes/spread/error-strata';
import { blockInteractionOf, gardenErrorOf } from '@/core/judge/outcomes/spread/garden-error';
import { spreadTestOf } from '@/core/judge/outcomes/spread/judged-spread';
import type { WorkingTrial } from '@/core/judge/outcomes/working/working-trial';
import { smallestDealP } from '@/core/judge/planning/smallest-deal-p';
import { isRead, isYesNo, type JudgeInput } from '@/core/judge/question/judge-input';
import { heterogeneity } from '@/core/stats/categorical/two-by-two';
import type { LinearModel } from '@/core/stats/linear/linear-model';
import { oddUnits } from '@/core/stats/linear/residual-checks';
import { plural, pluralOf } from '@/core/words/plural';

interface WarningContext {
  readonly input: JudgeInput;
  readonly working: WorkingTrial;
  readonly trial: TrialModel;
  readonly model: LinearModel;
  readonly spread: EffectError | undefined;
  readonly contrasts: readonly Contrast[];
  readonly design: Judgement['design'];
}

/** What may have spoiled the trial, as far as the readings and the layout show it. */
export function warningsOf(context: WarningContext): readonly JudgeWarning[] {
  return [
    ...replication(context),
    ...subsampling(context),
    ...blocking(context),
    ...balance(context),
    ...comparability(context),
    ...spreads(context),
    ...crowding(context),
    ...byBlock(context),
    ...odd(context),
    ...additive(context),
    ...aliased(context),
    ...declared(context),
  ];
}

function replication({ input, trial, model, spread }: WarningContext): readonly JudgeWarning[] {
  const { unitWord } = input;
  if (!spread && model.residualDf < 1) {
    return [
      {
        code: 'no-replication',
        message: `One ${unitWord} each leaves no spread to judge by: a story, not a result.`,
      },
    ];
  }
  if (
    !spread &&
    input.outcome !== 'continuous' &&
    new Set(trial.units.map(unit => unit.value)).size === 1
  )
    return [{ code: 'all-alike', message: 'All gave the same: nothing is there to compare.' }];
  if (!spread && input.outcome !== 'continuous')
    return [
      {
        code: 'zero-spread',
        message: `${pluralOf(unitWord)} treated alike gave exactly the same: how far it could be otherwise can’t be told, and the calls rest on the deals alone.`,
      },
    ];
  if (!spread) {
    return [
      {
        code: 'zero-spread',
        message: `${pluralOf(unitWord)} treated alike gave exactly the same reading: the scale’s step is too coarse, or values were copied.`,
      },
    ];
  }
  return tooFewDeals(input, trial);
}

/** Where there are so few deals that none, however large its gap, could be as rare as a call asks. */
function tooFewDeals(input: JudgeInput, trial: TrialModel): readonly JudgeWarning[] {
  if (isOneEachCell(input, trial.units)) return []; // nothing is dealt again there
  const smallest = smallestDealP(input, trial);
  if (smallest <= 1 - input.confidence) return [];
  return [
    {
      code: 'tiny-sample',
      message: `So few ${pluralOf(input.unitWord)} that even the largest gap turns up in ${Math.round(100 * smallest)} of 100 shuffles: the deals alone could never settle it. What is called here leans on how ${pluralOf(input.unitWord)} treated alike spread.`,
    },
  ];
}

function subsampling({ input, design }: WarningContext): readonly JudgeWarning[] {
  if (design.subsamples <= design.units) return [];
  return [
    {
      code: 'pseudo-replication',
      message: `${design.subsamples} readings come from ${design.units} ${pluralOf(input.unitWord)}. Readings of one ${input.unitWord} were averaged first: what counts is ${design.units}, not ${design.subsamples}.`,
    },
  ];
}

function blocking({ input, trial }: WarningContext): readonly JudgeWarning[] {
  return input.blockNames.flatMap((name, i): JudgeWarning[] => {
    const levels = distinct(trial.units.map(unit => unit.blocks[i] ?? ''));
    return levels.length === 1
      ? [
          {
            code: 'one-block',
            message: `There is only one ${name}: it can’t tell place from treatment, and was left out of the sums.`,
          },
        ]
      : [];
  });
}

function balance({ input, trial }: WarningContext): readonly JudgeWarning[] {
  const counts = input.treatments.map(
    name => trial.units.filter(unit => unit.treatment === name).length,
  );
  const missing = input.units.filter(unit => unit.value === null && !unit.isLeftOut).length;
  const warnings: JudgeWarning[] = [];
  if (missing > 0)
    warnings.push({
      code: 'missing-units',
      message: `${missing} ${plural(input.unitWord, missing)} gave no reading and ${missing === 1 ? 'is' : 'are'} not in the sums.`,
    });
  if (new Set(counts).size > 1) {
    const listed = input.treatments.map((name, i) => `${name} ${counts[i]}`).join(', ');
    warnings.push({
      code: 'unbalanced',
      message: `Not the same number of ${pluralOf(input.unitWord)} each: ${listed}. The sums allow for it.`,
    });
  }
  return warnings;
}

function comparability({ contrasts }: WarningContext): readonly JudgeWarning[] {
  const lost = contrasts
    .filter(contrast => !contrast.estimable)
    .map(contrast => contrast.treatment);
  if (lost.length === 0) return [];
  return [
    {
      code: 'not-comparable',
      message: `This layout can’t compare ${lost.join(', ')} with ${contrasts[0]?.control}: they differ from it only together with the blocks, or gave no reading.`,
    },
  ];
}

const NOTICEABLE = 0.05;

function spreads({ input, trial, model, spread }: WarningContext): readonly JudgeWarning[] {
  if (!spread || isYesNo(input) || hasEmptyCounts(input)) return [];
  const test = spreadTestOf(trial, model);
  const isUnlike = test !== undefined && test.p < NOTICEABLE;
  if (!isUnlike && !spread.isOwn) return [];
  const found = isUnlike ? ` (p ${test.p < 0.001 ? 'below 0.001' : test.p.toFixed(3)})` : '';
  return [
    {
      code: 'unequal-variance',
      message: spread.isOwn
        ? `Some treatments spread more than others${found}: each is judged by the spread of its own ${pluralOf(input.unitWord)}.`
        : `Some treatments spread more than others${found}: the intervals may be too wide for some and too narrow for others.`,
    },
  ];
}

/** A treatment that counts nothing spreads less than the others by that alone. */
function hasEmptyCounts({ outcome, units, treatments }: JudgeInput): boolean {
  const read = units.filter(isRead);
  return (
    outcome === 'count' &&
    treatments.some(name => read.every(unit => unit.treatment !== name || unit.value === 0))
  );
}

/** Where a treatment stands twice in a block it shows whether it does the same in all of them. */
function byBlock({ input, working, spread }: WarningContext): readonly JudgeWarning[] {
  const found = spread && blockInteractionOf(input, working);
  if (!found) return [];
  const blocks = pluralOf(found.blockName);
  const differs: readonly JudgeWarning[] =
    found.p < NOTICEABLE
      ? [
          {
            code: 'differs-by-block',
            message: `What the treatments do differs from ${found.blockName} to ${found.blockName} (p ${found.p < 0.001 ? 'below 0.001' : found.p.toFixed(3)}): look at each by itself.`,
          },
        ]
      : [];
  const these: readonly JudgeWarning[] = !found.isGarden
    ? []
    : gardenErrorOf(found)
      ? [
          {
            code: 'these-gardens',
            message: `Judged by how what they do differs from ${found.blockName} to ${found.blockName}: it is told of ${blocks} like these.`,
          },
        ]
      : [
          {
            code: 'these-gardens',
            message: `So few ${blocks} that it is told of these only, not of others like them.`,
          },
        ];
  return [...differs, ...these];
}

/** Items of one unit share its luck: where units differ more than items would, it is the units that count. */
function crowding({ input }: WarningContext): readonly JudgeWarning[] {
  if (input.outcome !== 'proportion' || isYesNo(input)) return [];
  const units = input.units.filter(isRead);
  const found = heterogeneity(
    input.treatments.map(name =>
      units
        .filter(unit => unit.treatment === name)
        .map(unit => ({ k: unit.value, n: unit.outOf ?? 1 })),
    ),
  );
  if (!found || found.p >= NOTICEABLE) return [];
  const { unitWord } = input;
  return [
    {
      code: 'overdispersed',
      message: `${pluralOf(unitWord)} of one treatment differ more than chance lets items differ: what counts is the ${unitWord}, not the item.`,
    },
  ];
}

function odd({ input, trial, model, spread }: WarningContext): readonly JudgeWarning[] {
  if (!spread) return [];
  return oddUnits(model, NOTICEABLE).map(({ index }): JudgeWarning => {
    const unit = trial.units[index];
    return {
      code: 'odd-unit',
      message: `${input.unitWord} ${unit?.id} (${unit?.treatment}) lies far from the others like it. Look whether it was read rightly before you leave it out.`,
    };
  });
}

function additive({ input, trial }: WarningContext): readonly JudgeWarning[] {
  if (!isOneEachCell(input, trial.units)) return [];
  const p = additivityP(trial);
  const names = input.factors?.names ?? [];
  return [
    {
      code: 'additive-only',
      message: `One ${input.unitWord} of each combination: ${names.join(' and ')} are judged as if what one does were the same at every level of the other.${p === null ? '' : p < NOTICEABLE ? ` That looks wrong (Tukey’s test of additivity, p ${p.toFixed(3)}): the calls lean on it.` : ` Nothing speaks against it (Tukey’s test of additivity, p ${p.toFixed(2)}), though so few could hardly show it.`}`,
    },
  ];
}

/** Combinations that were not grown, or gave nothing: what goes together with something else gets no number. */
function aliased({ input, trial }: WarningContext): readonly JudgeWarning[] {
  const { names, levelsOf } = input.factors ?? { names: [], levelsOf: {} };
  if (names.length < 2) return [];
  const grown = distinct(trial.units.map(unit => unit.treatment)).map(name => levelsOf[name] ?? []);
  const told = aliasingOf(
    names.map((name, f) => ({ name, levels: distinct(grown.map(levels => levels[f] ?? '')) })),
    grown.map(levels => Object.fromEntries(names.map((name, f) => [name, levels[f] ?? '']))),
  );
  if ([...told.mainEffects, ...told.interactions].every(({ share }) => share === 'whole'))
    return [];
  const { lost, told: rest } = aliasingWords(told);
  return [
    {
      code: 'aliased',
      message: ['Combinations are missing.', lost, rest].filter(part => part !== '').join(' '),
    },
  ];
}

function declared({ input }: WarningContext): readonly JudgeWarning[] {
  return input.isDeclared
    ? []
    : [
        {
          code: 'not-declared',
          message: 'This was not the main measure before the plan was locked: found along the way.',
        },
      ];
}
