import { isOfShares } from '@/core/design/question/margin-form';
import { askedReading } from '@/core/design/question/question-form';
import type { QuestionForm } from '@/core/design/question/question-shape';
import { harvestMeasure } from '@/core/measure/library/harvest-measures';
import { fullDay } from '@/core/time/days';
import { readDoses, readTreatments } from '@/core/trial/forms/treatment-form';
import { listed } from '@/core/words/listed';

// Names alone are wanted: whose they will be is nobody’s yet.
const ANY_ID = '00000000-0000-7000-8000-000000000000';

/** The treatments as the form would make them; none where it would not. */
export function treatmentNames(form: QuestionForm): readonly string[] {
  const compared = readTreatments(form, form.unitWord, () => ANY_ID);
  return compared.ok ? compared.value.treatments.map(treatment => treatment.name) : [];
}

/** The wish as one sentence that a trial can answer; gaps where something is still missing. */
export function testableQuestion(form: QuestionForm): string {
  const compared = agreedWords(form.rules) ?? comparedWords(form);
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
    return `Does ${compared}, ${readingWords(form, margin)} in ${named(form.crop)} by ${end}?`;
  return `Does ${compared}, give ${margin}${form.better === 'higher' ? 'more' : 'less'} ${harvestMeasure(form.summary).responseOf(named(form.picked))} from ${named(form.crop)} by ${end}?`;
}

/** Behind an amount of what is read, where its unit is not written already. */
function unitBehind(form: QuestionForm): string {
  const { margin } = form;
  const kind = askedReading(form);
  if (!kind || !/\d$/.test(margin.trim())) return '';
  const one = Number(margin.replace(',', '.')) === 1;
  if (isOfShares(kind.scale)) return one ? ' point' : ' points';
  if (kind.scale.kind === 'date') return one ? ' day' : ' days';
  if (kind.scale.kind === 'ordinal') return one ? ' step' : ' steps';
  return kind.unit === '' ? '' : ` ${kind.unit}`;
}

/** What is read, and which way it is to go. */
function readingWords(form: QuestionForm, margin: string): string {
  const { better } = form;
  const kind = askedReading(form);
  if (!kind) return 'make … better';
  const name = `“${kind.name.toLowerCase()}”`;
  if (kind.scale.kind === 'date')
    return `make ${name} come ${margin}${better === 'higher' ? 'later' : 'earlier'}`;
  return `make ${name} ${margin}${better === 'higher' ? 'higher' : 'lower'}`;
}

/** What was agreed on as what the question is about; undefined where nothing was. */
function agreedWords({
  askedOne,
  askedOneWith,
  askedOther,
  askedOtherWith,
}: QuestionForm['rules']): string | undefined {
  if (askedOne === '' || askedOther === '') return undefined;
  const sideOf = (first: string, others: readonly string[]): string =>
    others.length === 0 ? first : `${listed([first, ...others])} together`;
  return `${sideOf(askedOne, askedOneWith)}, instead of ${sideOf(askedOther, askedOtherWith)}`;
}

function comparedWords(form: QuestionForm): string {
  switch (form.made) {
    case 'listed': {
      const tests = form.treatments.filter((_, i) => i !== form.control);
      const control = named(form.treatments[form.control]?.name);
      return `${either(tests.map(({ name }) => named(name)))}, instead of ${control}`;
    }
    case 'series': {
      const doses = readDoses(form.series.doses);
      const withUnit = (dose: number): string =>
        `${dose}${form.series.unit === '' ? '' : ` ${form.series.unit}`}`;
      return doses.ok
        ? `${named(form.series.name)} of ${either(doses.value.slice(1).map(withUnit))}, instead of ${withUnit(doses.value[0] ?? 0)}`
        : `${named(form.series.name)} of …, instead of …`;
    }
    case 'crossed':
      return crossedWords(form);
  }
}

/** Each factor's levels against its first: what each cell does beside the first cell is not asked. */
function crossedWords({ factors }: QuestionForm): string {
  const asked = factors.flatMap(({ levels }) => {
    const [first, ...others] = levels.filter(level => level.trim() !== '');
    return first === undefined || others.length === 0
      ? []
      : [`${either(others)} instead of ${first}`];
  });
  return asked.length === 0 ? '…, instead of …' : asked.join(', or ');
}

function named(name: string | undefined): string {
  return name?.trim() || '…';
}

function either(names: readonly string[]): string {
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} or ${names.at(-1)}`;
}
