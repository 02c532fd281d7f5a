import { z } from 'zod';
import { option } from '@/cli/option';
import { refuse } from '@/cli/refuse';
import { gradeSentence, parseGrade } from '@/core/materials/label/analysis';
import { type Analysis, AnalysisBasis } from '@/core/trial/model/analysis';

/** The three numbers of a pack, and how they count, from the options that give them. */
export function analysisOf(
  grade: string | undefined,
  name: string,
  basis: string | undefined,
  per: string | undefined,
): Analysis {
  const read = parseGrade(grade ?? '');
  if (!read.ok) refuse(`${name}: ${gradeSentence(read.trouble)}`);
  const [n, p, k] = read.value;
  return {
    n,
    p,
    k,
    others: {},
    basis: option(
      AnalysisBasis,
      basis ?? 'oxide',
      name.replace('grade', 'basis'),
      'oxide or element',
    ),
    per: option(z.enum(['w/w', 'w/v']), per ?? 'w/w', name.replace('grade', 'per'), 'w/w or w/v'),
  };
}
