'use client';

import { useCallback, useEffect, useState } from 'react';
import { styled } from 'styled-components';
import { v7 } from 'uuid';
import { oneTabAtATime } from '@/features/walk/outbox/one-tab';
import {
  addPhotoToOutbox,
  type PhotosSent,
  sendWaitingPhotos,
} from '@/features/walk/outbox/photo-outbox';
import { FilePick } from '@/ui/fields/FilePick';

interface WalkPhotoProps {
  readonly trialId: string;
  readonly unitId: string;
  readonly code: string;
  readonly day: string;
}

/** A picture of the pot in hand: kept in this browser at once, sent when there is a connection. */
export function WalkPhoto({ trialId, unitId, code, day }: WalkPhotoProps) {
  const [stands, setStands] = useState<PhotosSent | null>(null);
  const [said, setSaid] = useState('');
  const send = useCallback(async () => {
    const sent = await oneTabAtATime(`turnspit photos ${trialId}`, () =>
      sendWaitingPhotos(trialId),
    );
    if (sent !== undefined) setStands(sent);
  }, [trialId]);
  useEffect(() => {
    void send();
    const again = (): void => {
      void send();
    };
    window.addEventListener('online', again);
    return () => window.removeEventListener('online', again);
  }, [send]);
  const take = async (file: File): Promise<void> => {
    await addPhotoToOutbox(
      trialId,
      { id: v7(), unitId, takenOn: day, shows: 'plant', note: '' },
      await file.arrayBuffer(),
    );
    setSaid(`${code}: the picture is kept.`);
    await send();
  };
  return (
    <Take>
      <FilePick
        label={`Picture of ${code}`}
        accept="image/jpeg,image/png,image/webp"
        usesCamera
        onFile={file => void take(file)}
      />
      <p role="status">
        {said}
        {stands && stands.waiting > 0 ? ` ${stands.waiting} wait here for a connection.` : ''}
      </p>
      {stands?.refused.map(says => (
        <p key={says} role="alert">
          {says}
        </p>
      ))}
    </Take>
  );
}

const Take = styled.div`
  & label { display: block; }
  & input { display: block; min-height: 48px; width: 100%; }
  & [role='status']:empty { display: none; }
`;
