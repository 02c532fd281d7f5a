'use client';

import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { z } from 'zod';
import { FilePick } from '@/ui/fields/FilePick';
import { Trouble } from '@/ui/Trouble';

const Answer = z.object({ said: z.string().optional(), trouble: z.string().optional() });
type Answer = z.infer<typeof Answer>;

/** Takes results files in, as many as are chosen, one after another; each says what became of it. */
export function TakeResultsIn({ trialId }: { readonly trialId: string }) {
  const router = useRouter();
  const [answers, setAnswers] = useState<readonly (Answer & { readonly file: string })[]>([]);
  const [waiting, setWaiting] = useState(0);
  const last = useRef<Promise<void>>(Promise.resolve());
  const take = async (file: File): Promise<void> => {
    const answer = await sent(trialId, file);
    setAnswers(before => [...before, { ...answer, file: file.name }]);
    setWaiting(count => count - 1);
    router.refresh();
  };
  const queue = (file: File): void => {
    if (waiting === 0) setAnswers([]);
    setWaiting(count => count + 1);
    last.current = last.current.then(() => take(file));
  };
  return (
    <>
      <FilePick
        label="Take results in"
        accept=".json,application/json"
        takesSeveral
        onFile={queue}
      />
      <div role="status">
        {waiting > 0 && <p>Reading {waiting} …</p>}
        {answers.map(({ file, said }) => said && <p key={file}>{said}</p>)}
      </div>
      {answers.map(
        ({ file, trouble }) =>
          trouble && (
            <Trouble key={file}>
              {file}: {trouble}
            </Trouble>
          ),
      )}
    </>
  );
}

async function sent(trialId: string, file: File): Promise<Answer> {
  try {
    const response = await fetch(`/api/gardens/${trialId}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: file,
    });
    return Answer.parse(await response.json());
  } catch {
    return { trouble: 'The file could not be sent. Is Turnspit still running?' };
  }
}
