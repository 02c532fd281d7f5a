import type { Contrast } from '@/core/judge/outcomes/judgement';
import type { JudgeInput } from '@/core/judge/question/judge-input';
import { isFound } from '@/core/judge/verdict/call';
import { listed } from '@/core/words/listed';
import { sentenceCase } from '@/core/words/sentence-case';

/** Of what is no gain either way: who has more of it, and who less. */
export function differenceHeadline(
  { response, countedClass, control }: JudgeInput,
  contrasts: readonly Contrast[],
): string {
  const found = contrasts.flatMap(contrast =>
    contrast.estimable && isFound(contrast) ? [contrast] : [],
  );
  const more = found.filter(({ difference }) => difference > 0).map(({ treatment }) => treatment);
  const less = found.filter(({ difference }) => difference < 0).map(({ treatment }) => treatment);
  if (countedClass !== undefined && more.length + less.length > 0)
    return `“${sentenceCase(countedClass)}” came ${[
      [more, 'more'] as const,
      [less, 'less'] as const,
    ]
      .filter(([names]) => names.length > 0)
      .map(([names, way]) => `${way} often under ${listed(names)}`)
      .join(', ')} than under ${control}.`;
  if (more.length > 0)
    return `More ${response} under ${listed(more)} than under ${control}${less.length > 0 ? `, less under ${listed(less)}` : ''}.`;
  if (less.length > 0) return `Less ${response} under ${listed(less)} than under ${control}.`;
  if (contrasts.every(contrast => contrast.call === 'no-difference-that-matters'))
    return `No difference that matters from ${control}.`;
  return `Can’t tell yet whether anything differs from ${control}.`;
}
