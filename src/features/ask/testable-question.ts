import { harvestMeasure } from '@/core/measure/measure-library';
import type { QuestionForm } from '@/core/trial/question-form';
import { fullDay } from '@/features/frame/days';

/** The wish as one sentence that a trial can answer; gaps where something is still missing. */
export function testableQuestion(form: QuestionForm): string {
  const named = (name: string | undefined): string => name?.trim() || '…';
  const tests = form.treatments.filter((_, i) => i !== form.control).map(({ name }) => named(name));
  const control = named(form.treatments[form.control]?.name);
  const response = harvestMeasure(form.summary).responseOf(named(form.picked));
  const way = form.better === 'higher' ? 'more' : 'less';
  const margin = form.marginKind === 'any' ? '' : `at least ${named(form.margin)}${form.marginKind === 'percent' ? '%' : ''} `;
  const end = /^\d{4}-\d\d-\d\d$/.test(form.endsOn) ? fullDay(form.endsOn) : '…';
  return `Does ${either(tests)}, instead of ${control}, give ${margin}${way} ${response} from ${named(form.crop)} by ${end}?`;
}

function either(names: readonly string[]): string {
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} or ${names.at(-1)}`;
}
