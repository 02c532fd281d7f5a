'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { z } from 'zod';
import { partsSentence, readPlanParts } from '@/core/trial/shared/plan-parts';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { FilePick } from '@/ui/fields/FilePick';
import { TextLine } from '@/ui/fields/TextLine';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

const Read = z.object({ text: z.string().optional(), trouble: z.string().optional() });
const Taken = z.object({ id: z.string().optional(), trouble: z.string().optional() });

/** A plan from its square codes: photographed one by one, or pasted as a code reader gives them. */
export function TakePlanFromCodes() {
  const router = useRouter();
  const [text, setText] = useState('');
  const [trouble, setTrouble] = useState('');
  const parts = text === '' ? null : readPlanParts(text);
  const photograph = async (file: File): Promise<void> => {
    const answer = await asked('/api/square-code', file.type, file, Read);
    setTrouble(answer?.trouble ?? (answer ? '' : NOT_SENT));
    if (answer?.text) setText(before => `${before} ${answer.text}`);
  };
  const take = async (): Promise<void> => {
    if (!parts?.ok) return;
    const body = JSON.stringify(parts.value);
    const answer = await asked('/api/trials', 'application/json', body, Taken);
    setTrouble(answer?.trouble ?? (answer ? '' : NOT_SENT));
    if (answer?.id) router.push(`/trials/${answer.id}/ask`);
  };
  return (
    <Fold title="Take a plan in from square codes">
      <Soft>Photograph each code, or paste what a code reader shows, one after the other.</Soft>
      <Acts>
        <FilePick
          label="Photograph a code"
          accept="image/*"
          usesCamera
          onFile={file => void photograph(file)}
        />
      </Acts>
      <TextLine name="codes" label="What was read" value={text} onChange={setText} />
      <div role="status">
        {parts?.ok && <p>All codes are read.</p>}
        {parts && !parts.ok && <p>{partsSentence(parts.trouble)}</p>}
      </div>
      {trouble !== '' && <Trouble>{trouble}</Trouble>}
      {parts?.ok && (
        <Acts>
          <Button data-tone="main" onPress={() => void take()}>
            Begin the trial
          </Button>
        </Acts>
      )}
    </Fold>
  );
}

const NOT_SENT = 'It could not be sent. Is Turnspit still running?';

async function asked<Shape extends z.ZodType>(
  address: string,
  type: string,
  body: BodyInit,
  shape: Shape,
): Promise<z.infer<Shape> | undefined> {
  try {
    const response = await fetch(address, {
      method: 'POST',
      headers: { 'content-type': type },
      body,
    });
    return shape.parse(await response.json());
  } catch {
    return undefined;
  }
}
