'use client';

import type { Dispatch, SetStateAction } from 'react';
import type { Result } from '@/core/result';
import { shortDay } from '@/core/time/days';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { Button } from '@/ui/Button';
import { MeasurePhoto } from './MeasurePhoto';
import type { HungPhoto } from './photo-view';

interface OnePictureProps {
  readonly opened: HungPhoto;
  readonly trialId: string;
  readonly isHidden: boolean;
  readonly measure: (input: unknown) => Promise<Result<number, TrialTrouble>>;
  readonly setOpened: Dispatch<SetStateAction<HungPhoto | null>>;
  readonly isClosed: boolean;
  readonly take: (photo: HungPhoto) => void;
  readonly isPending: boolean;
}

export function OnePicture({
  opened,
  trialId,
  isHidden,
  measure,
  setOpened,
  isClosed,
  take,
  isPending,
}: OnePictureProps) {
  return (
    <section aria-label="One picture">
      <MeasurePhoto
        key={opened.id}
        source={`/api/photos/${trialId}/${opened.id}`}
        words={isHidden ? 'the picture' : `${opened.code}, ${shortDay(opened.takenOn)}`}
        ratio={opened.ratio}
        widthMm={opened.widthMm}
        save={(share, mm) => measure({ photoId: opened.id, share, mm })}
      />
      {opened.note !== '' && !isHidden && <p>{opened.note}</p>}
      <div data-acts>
        <Button onPress={() => setOpened(null)}>Put it back</Button>
        {!isClosed && (
          <Button data-tone="quiet" onPress={() => take(opened)} isPending={isPending}>
            Take it away for good
          </Button>
        )}
      </div>
    </section>
  );
}
