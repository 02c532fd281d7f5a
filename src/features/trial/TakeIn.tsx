'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { styled } from 'styled-components';
import { z } from 'zod';
import { FilePick } from '@/ui/fields/FilePick';
import { Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

// Few come by codes: what unpacks them is loaded when it is asked for.
const TakePlanFromCodes = dynamic(() =>
  import('@/features/gardens/TakePlanFromCodes').then(file => file.TakePlanFromCodes),
);

const Answer = z.object({ id: z.string().optional(), trouble: z.string().optional() });

/** Takes a trial in from the file that the report of another garden saved. */
export function TakeIn() {
  const router = useRouter();
  const [trouble, setTrouble] = useState('');
  const [isUnderWay, setUnderWay] = useState(false);
  const take = async (file: File): Promise<void> => {
    setUnderWay(true);
    setTrouble('');
    const answer = await fetch('/api/trials', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: file,
    })
      .then(async response => Answer.parse(await response.json()))
      .catch(() => ({
        id: undefined,
        trouble: 'The file could not be sent. Is Turnspit still running?',
      }));
    setUnderWay(false);
    setTrouble(answer.trouble ?? '');
    if (answer.id !== undefined) router.push(`/trials/${answer.id}/ask`);
  };
  return (
    <Box aria-label="Take a trial in">
      <FilePick
        label="Take a trial or a plan in from its file"
        accept=".json,application/json"
        isDisabled={isUnderWay}
        onFile={file => void take(file)}
      />
      <Soft>
        “The whole trial” under any trial’s report saves one; “Other gardens” saves a plan.
      </Soft>
      <TakePlanFromCodes />
      {isUnderWay && <p role="status">Reading it …</p>}
      {trouble !== '' && <Trouble>{trouble}</Trouble>}
    </Box>
  );
}

const Box = styled.section`
  display: grid; gap: 6px; justify-items: start; margin-top: 12px;
  & label { font-weight: 600; }
  & input { max-width: 100%; font: inherit; }
  & input::file-selector-button { font: inherit; padding: 4px 12px; background: var(--paper); color: var(--ink); border: 1px solid var(--rule-strong); border-radius: 2px; }
  @media (pointer: coarse) { & input { min-height: 48px; } }
`;
