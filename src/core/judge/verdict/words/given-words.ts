import type { JudgeInput } from '@/core/judge/question/judge-input';
import type { Words } from '@/core/judge/verdict/verdict-context';
import { listed } from '@/core/words/listed';
import { joined } from './margin-words';

/** Below this a verdict says how much of what was planned was given. Common practice, no source. */
const ALMOST_ALL = 0.9;

/** Whether the treatment happened: in the headline where none of it is on record, in the detail where less than nine in ten is. */
export function withGiven<Said extends Words>(
  said: Said,
  { given, control }: Pick<JudgeInput, 'given' | 'control'>,
): Said {
  const short = Object.entries(given ?? {}).filter(
    ([, { planned, done }]) => done / planned < ALMOST_ALL,
  );
  const never = short.filter(([name, { done }]) => done === 0 && name !== control);
  const some = short.filter(each => !never.includes(each));
  const planned = never.reduce((sum, [, each]) => sum + each.planned, 0);
  const steps = planned === 1 ? 'the one planned step' : `none of the ${planned} planned steps`;
  const names = listed(never.map(([name]) => name));
  const headline =
    never.length === 0
      ? said.headline
      : `${said.headline.replace(/\.$/, '')}, though ${steps} of ${names} is ${planned === 1 ? 'not ' : ''}on record.`;
  const shares = some.map(([name, each]) => `${name} ${whole(each.done)} of ${each.planned}`);
  const detail = shares.length === 0 ? '' : `Planned steps on record: ${listed(shares)}.`;
  return { ...said, headline, detail: joined(said.detail, detail) };
}

function whole(steps: number): string {
  return String(Number(steps.toFixed(1)));
}
