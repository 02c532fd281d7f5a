import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { Words } from '@/core/judge/verdict/verdict-context';
import { listed } from '@/core/words/listed';
import { joined } from './margin-words';

/** Below this a verdict says how much of what was planned was given. Common practice, no source. */
const ALMOST_ALL = 0.9;

/**
 * What may have made the gap beside the treatment: something that went together with it stands in the headline, as does a
 * treatment of which nothing is on record; one of which less than nine in ten is, in the detail.
 */
export function withGiven<Said extends Words>(
  said: Said,
  { given, control, confounded = [] }: Pick<JudgeInput, 'given' | 'control' | 'confounded'>,
): Said {
  const short = Object.entries(given ?? {}).filter(
    ([, { planned, done }]) => done / planned < ALMOST_ALL,
  );
  const never = short.filter(([name, { done }]) => done === 0 && name !== control);
  const some = short.filter(each => !never.includes(each));
  const planned = never.reduce((sum, [, each]) => sum + each.planned, 0);
  const steps = planned === 1 ? 'the one planned task' : `none of the ${planned} planned tasks`;
  const names = listed(never.map(([name]) => name));
  const though = [
    ...(never.length === 0
      ? []
      : [`${steps} of ${names} is ${planned === 1 ? 'not ' : ''}on record`]),
    ...confounded.map(lowered),
  ];
  const headline =
    though.length === 0
      ? said.headline
      : `${said.headline.replace(/\.$/, '')}, though ${listed(though)}.`;
  const shares = some.map(([name, each]) => `${name} ${whole(each.done)} of ${each.planned}`);
  const detail = shares.length === 0 ? '' : `Planned tasks on record: ${listed(shares)}.`;
  return { ...said, headline, detail: joined(said.detail, detail) };
}

function lowered(words: string): string {
  return words.charAt(0).toLowerCase() + words.slice(1);
}

function whole(steps: number): string {
  return String(Number(steps.toFixed(1)));
}
