'use client';

import { styled } from 'styled-components';
import { Select } from '@/ui/fields/Select';
import { TextLine } from '@/ui/fields/TextLine';
import type { TrialSearch } from './trial-search';

interface SearchTrialsProps {
  readonly search: TrialSearch;
  readonly change: (search: TrialSearch) => void;
}

const SHOWN = [
  { value: 'all', label: 'all trials' },
  { value: 'running', label: 'not closed yet' },
  { value: 'closed', label: 'closed' },
  { value: 'unsettled', label: 'closed, and couldn’t tell' },
] as const;

/** Finds trials by their words, and those that could not tell: they count as much as the others. */
export function SearchTrials({ search, change }: SearchTrialsProps) {
  return (
    <Fields>
      <TextLine
        name="words"
        label="Find a trial"
        placeholder="beans 2025"
        value={search.words}
        onChange={words => change({ ...search, words })}
      />
      <Select
        name="show"
        label="Show"
        value={search.show}
        options={SHOWN}
        onChange={show =>
          change({ ...search, show: SHOWN.find(({ value }) => value === show)?.value ?? 'all' })
        }
      />
    </Fields>
  );
}

const Fields = styled.div`
  display: grid; grid-template-columns: repeat(auto-fit, minmax(200px, 320px)); gap: 12px 24px;
`;
