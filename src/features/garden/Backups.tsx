'use client';

import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import { shortDay } from '@/core/time/days';
import { NO_ANSWER } from '@/ui/actions/no-answer';
import { useAction } from '@/ui/actions/use-action';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

interface BackupsProps {
  /** The newest first. */
  readonly backups: readonly {
    readonly name: string;
    readonly madeAt: string;
    readonly bytes: number;
  }[];
  readonly make: () => Promise<Result<string, string>>;
}

const WHY: readonly (readonly [RegExp, string])[] = [
  [/^daily-/, 'made by itself'],
  [/^by-hand-/, 'made by hand'],
  [/^before-delete-/, 'before a trial was deleted'],
];

/** Copies of the whole garden: those that are made by themselves, one at once, and each to take away. */
export function Backups({ backups, make }: BackupsProps) {
  const { trouble, isPending, run } = useAction<string>(NO_ANSWER);
  return (
    <Box aria-label="Backups">
      <h2>Backups</h2>
      <Soft>
        Each day Turnspit copies the garden, pictures and all, into the folder “backups” beside its
        data: every day of the last week is kept, then one a week, then one a month. A disk can
        break: take one away now and then.
      </Soft>
      <Acts>
        <Button isPending={isPending} onPress={() => run(make)}>
          Make a backup now
        </Button>
      </Acts>
      {trouble !== undefined && <Trouble>{trouble}</Trouble>}
      {backups.length === 0 ? (
        <Soft>There is none yet: the first is made once there is a trial.</Soft>
      ) : (
        <ul>
          {backups.map(({ name, madeAt, bytes }) => (
            <li key={name}>
              <span>
                {shortDay(madeAt.slice(0, 10))}, {WHY.find(([of]) => of.test(name))?.[1] ?? name},{' '}
                {sizeWords(bytes)} without pictures
              </span>
              <a href={`/api/backups/${name}`} download>
                Save {name}
              </a>
            </li>
          ))}
        </ul>
      )}
      <Soft>
        To go back to one: stop Turnspit, unpack it, and run “turnspit restore FOLDER --replace”.
        What stands now is moved aside, not lost.
      </Soft>
    </Box>
  );
}

function sizeWords(bytes: number): string {
  return bytes < 1e6 ? `${Math.ceil(bytes / 1e3)} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
}

const Box = styled.section`
  display: grid; gap: 12px; border-top: 1px solid var(--rule); padding-top: 20px; margin-top: 12px;
  & ul { list-style: none; margin: 0; padding: 0; }
  & li { display: flex; flex-wrap: wrap; justify-content: space-between; gap: 4px 16px; padding: 6px 0; border-bottom: 1px solid var(--rule); }
  @media (pointer: coarse) { & a { padding: 12px 0; } }
`;
