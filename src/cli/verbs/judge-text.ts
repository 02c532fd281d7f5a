import type { DoseResponse } from '@/core/judge/outcomes/dose/dose-response';
import type { EstimableContrast, FactorEffect, Judgement } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { TableTrouble } from '@/core/judge/table/table-roles';
import { shownInterval } from '@/core/judge/verdict/shown-interval';
import { groupWords } from '@/core/judge/verdict/words/group-words';

export function doseText({ trend, fits, levelsOffAt }: DoseResponse): string {
  const best = fits[0];
  return [
    trend
      ? `Trend: ${short(trend.slope)} a unit of dose, p ${short(trend.p)}`
      : 'Trend: nothing to judge it by',
    best
      ? `Fits best: ${best.curve} (${Object.entries(best.parameters)
          .map(([name, value]) => `${name} ${short(value)}`)
          .join(', ')})`
      : '',
    levelsOffAt === null ? '' : `Levels off at ${short(levelsOffAt)}`,
  ]
    .filter(line => line !== '')
    .join('\n');
}

export function tableSentence(trouble: TableTrouble): string {
  switch (trouble.kind) {
    case 'no-column':
      return `: there is no column “${trouble.column}”. Its columns are ${trouble.columns.join(', ')}.`;
    case 'no-rows':
      return ': there is a header but no row under it.';
    case 'no-treatment-named':
      return ': --treatment is missing, the column that says what each unit got (or --factor for each factor).';
    case 'bad-cell':
      return `, row ${trouble.row}, column ${trouble.column}: ${trouble.read === '' ? 'the cell is empty' : `“${trouble.read}” can’t be used`}. Expected ${trouble.expected}.`;
    case 'no-control':
      return `: ${trouble.control === undefined ? '--control is missing' : `no row has “${trouble.control}”, which was named as a treatment`}. Expected one of ${trouble.treatments.join(', ')}.`;
    case 'one-treatment':
      return `: only one treatment found (${trouble.treatments.join(', ')}). Expected at least two to compare.`;
    case 'too-many':
      return `, column ${trouble.column}: ${trouble.count} ${trouble.what}. Expected at most ${trouble.most}; is it the right column?`;
    case 'unit-disagrees':
      return `, row ${trouble.row}, column ${trouble.column}: unit ${trouble.unit} is ${trouble.read} here and ${trouble.first} above. Expected the same in all its rows.`;
  }
}

export function plainText(judgement: Judgement, input: JudgeInput): string {
  const { verdict, shuffle } = judgement;
  const lines = [
    verdict.headline,
    verdict.detail,
    '',
    ...judgement.groups.map(group =>
      input.outcome === 'continuous'
        ? `${group.treatment}: n ${group.n}, mean ${short(group.mean)}, SD ${group.sd === null ? 'none' : short(group.sd)}`
        : `${group.treatment}: n ${group.n}, ${groupWords(input, group)}`,
    ),
    '',
    ...judgement.effects.map(effect => effectLine(effect)),
    ...(judgement.effects.length > 0 ? [''] : []),
    ...judgement.contrasts.map(contrast =>
      contrast.estimable
        ? contrastLine(contrast)
        : `${contrast.treatment} − ${contrast.control}: this layout can’t compare them`,
    ),
    ...(shuffle
      ? [
          '',
          `Shuffles: ${shuffle.exact ? 'all' : 'random,'} ${shuffle.arrangements}${shuffle.exact ? '' : `, seed ${input.seed}`}`,
        ]
      : []),
    ...(judgement.warnings.length > 0
      ? ['', ...judgement.warnings.map(warning => `! ${warning.message}`)]
      : []),
  ];
  return `${lines.join('\n')}\n`;
}

function contrastLine(contrast: EstimableContrast): string {
  const { ci } = shownInterval(contrast, { margin: null });
  const sure = ci
    ? ` (${short(ci[0])} to ${short(ci[1])}, adjusted p ${short(contrast.pAdjusted ?? 1)})`
    : '';
  const shuffled =
    contrast.shufflePAdjusted === null ? '' : `, shuffle p ${short(contrast.shufflePAdjusted)}`;
  return `${contrast.treatment} − ${contrast.control}: ${short(contrast.difference)}${sure}${shuffled}: ${contrast.call}`;
}

function effectLine(effect: FactorEffect): string {
  const where =
    effect.within === null
      ? 'averaged'
      : Object.entries(effect.within)
          .map(([factor, level]) => `${factor} ${level}`)
          .join(', ');
  return `${effect.factor}, ${where}: ${contrastLine(effect)}`;
}

function short(value: number): string {
  return String(Number(value.toPrecision(4)));
}
