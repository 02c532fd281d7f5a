import { isOfShares } from '@/core/design/question/margin-form';
import type { QuestionForm } from '@/core/design/question/question-shape';
import { harvestMeasure } from '@/core/measure/library/harvest-measures';
import { readingKind } from '@/core/measure/library/reading-library';
import { crossedCells, readDoses, readTreatments } from '@/core/trial/forms/treatment-form';
import { fullDay } from '@/features/frame/days';

// Names alone are wanted: whose they will be is nobody’s yet.
const ANY_ID = '00000000-0000-7000-8000-000000000000';

/** The treatments as the form would make them; none where it would not. */
export function treatmentNames(form: QuestionForm): readonly string[] {
  const compared = readTreatments(form, form.unitWord, () => ANY_ID);
  return compared.ok ? compared.value.treatments.map(treatment => treatment.name) : [];
}

/** The wish as one sentence that a trial can answer; gaps where something is still missing. */
export function testableQuestion(form: QuestionForm): string {
  const { tests, control } = comparedWords(form);
  const margin =
    form.marginKind === 'any'
      ? ''
      : `at least ${named(form.margin)}${form.marginKind === 'percent' ? '%' : unitBehind(form)} `;
  const end =
    form.rules.end === 'stage'
      ? `the stage “${named(form.rules.endStage)}”`
      : /^\d{4}-\d\d-\d\d$/.test(form.endsOn)
        ? fullDay(form.endsOn)
        : '…';
  if (form.summary === 'read')
    return `Does ${tests}, instead of ${control}, ${readingWords(form, margin)} in ${named(form.crop)} by ${end}?`;
  return `Does ${tests}, instead of ${control}, give ${margin}${form.better === 'higher' ? 'more' : 'less'} ${harvestMeasure(form.summary).responseOf(named(form.picked))} from ${named(form.crop)} by ${end}?`;
}

/** Behind an amount of what is read, where its unit is not written already. */
function unitBehind({ summary, mainKey, margin }: QuestionForm): string {
  const kind = summary === 'read' ? readingKind(mainKey) : undefined;
  if (!kind || !/\d$/.test(margin.trim())) return '';
  const one = Number(margin.replace(',', '.')) === 1;
  if (isOfShares(kind.scale)) return one ? ' point' : ' points';
  if (kind.scale.kind === 'date') return one ? ' day' : ' days';
  if (kind.scale.kind === 'ordinal') return one ? ' step' : ' steps';
  return kind.unit === '' ? '' : ` ${kind.unit}`;
}

/** What is read, and which way it is to go. */
function readingWords({ mainKey, better }: QuestionForm, margin: string): string {
  const kind = readingKind(mainKey);
  if (!kind) return 'make … better';
  const name = `“${kind.name.toLowerCase()}”`;
  if (kind.scale.kind === 'date')
    return `make ${name} come ${margin}${better === 'higher' ? 'later' : 'earlier'}`;
  return `make ${name} ${margin}${better === 'higher' ? 'higher' : 'lower'}`;
}

function comparedWords(form: QuestionForm): { readonly tests: string; readonly control: string } {
  switch (form.made) {
    case 'listed':
      return {
        tests: either(
          form.treatments.filter((_, i) => i !== form.control).map(({ name }) => named(name)),
        ),
        control: named(form.treatments[form.control]?.name),
      };
    case 'series': {
      const doses = readDoses(form.series.doses);
      const withUnit = (dose: number): string =>
        `${dose}${form.series.unit === '' ? '' : ` ${form.series.unit}`}`;
      return doses.ok
        ? {
            tests: `${named(form.series.name)} of ${either(doses.value.slice(1).map(withUnit))}`,
            control: withUnit(doses.value[0] ?? 0),
          }
        : { tests: `${named(form.series.name)} of …`, control: '…' };
    }
    case 'crossed': {
      const cells = crossedCells(
        form.factors.map(factor => ({
          name: factor.name,
          levels: factor.levels.filter(level => level.trim() !== ''),
        })),
      );
      const grown = cells.filter(cell => !form.emptyCells.includes(cell.name) && cell.name !== '');
      return {
        tests: grown.length > 1 ? either(grown.slice(1).map(cell => `“${cell.name}”`)) : '…',
        control: grown[0] ? `“${grown[0].name}”` : '…',
      };
    }
  }
}

function named(name: string | undefined): string {
  return name?.trim() || '…';
}

function either(names: readonly string[]): string {
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} or ${names.at(-1)}`;
}
