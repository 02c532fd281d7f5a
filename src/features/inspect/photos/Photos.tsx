'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import type { Result } from '@/core/result';
import { shortDay } from '@/core/time/days';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import type { BenchView } from '@/features/bench/bench-view';
import { DoneBench } from '@/features/bench/DoneBench';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { BareButton } from '@/ui/BareButton';
import { Fold } from '@/ui/Fold';
import { Choice } from '@/ui/fields/Choice';
import { Tick } from '@/ui/fields/Tick';
import { useForm } from '@/ui/fields/use-form';
import { Soft } from '@/ui/Page';
import { PlantLabel } from '@/ui/PlantLabel';
import { Trouble } from '@/ui/Trouble';
import { AddPhoto } from './AddPhoto';
import { OnePicture } from './OnePicture';
import type { HungPhoto, PhotoWall } from './photo-view';

export interface PhotosProps {
  readonly trialId: string;
  readonly walls: readonly PhotoWall[];
  readonly units: readonly { readonly id: string; readonly code: string }[];
  readonly bench: BenchView | null;
  readonly unitWord: string;
  readonly today: string;
  readonly isClosed: boolean;
  readonly measure: (input: unknown) => Promise<Result<number, TrialTrouble>>;
  readonly drop: (photoId: string) => Promise<Result<unknown, TrialTrouble>>;
}

/** How the wall is hung. */
interface Hanging {
  readonly shows: PhotoWall['shows'];
  readonly way: 'side' | 'pairs';
  readonly isHidden: boolean;
}

/** Pictures that are kept: beside each other at one scale, or first and last, and blind if wanted. */
export function Photos(props: PhotosProps) {
  const { trialId, walls, units, bench, unitWord, today, isClosed, measure, drop } = props;
  const { form: hanging, change } = useForm<Hanging>({
    shows: walls[0]?.shows ?? 'plant',
    way: 'side',
    isHidden: false,
  });
  const [opened, setOpened] = useState<HungPhoto | null>(null);
  const { trouble, isPending, run } = useTrialAction();
  const wall = walls.find(each => each.shows === hanging.shows) ?? walls[0];
  const take = (photo: HungPhoto): void =>
    run(
      () => drop(photo.id),
      () => setOpened(null),
    );
  return (
    <Wall aria-label="Pictures">
      <h2>Pictures</h2>
      {!wall && (
        <Soft>
          None yet. One a {unitWord} at the start and one at the end say more than twenty of the
          best.
        </Soft>
      )}
      {wall && (
        <>
          <WallFields walls={walls} wall={wall} hanging={hanging} change={change} />
          <PictureWall
            trialId={trialId}
            wall={wall}
            hanging={hanging}
            unitWord={unitWord}
            open={setOpened}
          />
        </>
      )}
      {wall && bench && !hanging.isHidden && (
        <PicturedBench wall={wall} bench={bench} unitWord={unitWord} open={setOpened} />
      )}
      {opened && (
        <OnePicture
          opened={opened}
          trialId={trialId}
          isHidden={hanging.isHidden}
          measure={measure}
          setOpened={setOpened}
          isClosed={isClosed}
          take={take}
          isPending={isPending}
        />
      )}
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      {!isClosed && units.length > 0 && (
        <Fold title="Keep a picture">
          <AddPhoto trialId={trialId} units={units} unitWord={unitWord} today={today} />
        </Fold>
      )}
    </Wall>
  );
}

interface PicturedBenchProps {
  readonly wall: PhotoWall;
  readonly bench: BenchView;
  readonly unitWord: string;
  readonly open: (photo: HungPhoto) => void;
}

/** Which have their picture on this wall; a press opens the last one. */
function PicturedBench({ wall, bench, unitWord, open }: PicturedBenchProps) {
  const codeOf = (id: string): string | undefined => bench.units.find(unit => unit.id === id)?.code;
  const pictureOf = (id: string): HungPhoto | undefined =>
    wall.side.find(photo => photo.code === codeOf(id));
  return (
    <div data-bench>
      <DoneBench
        bench={bench}
        unitWord={unitWord}
        done="pictured"
        leads="see its last picture"
        isDone={id => pictureOf(id) !== undefined}
        open={id => {
          const picture = pictureOf(id);
          if (picture) open(picture);
        }}
      />
    </div>
  );
}

interface PictureWallProps {
  readonly trialId: string;
  readonly wall: PhotoWall;
  readonly hanging: Hanging;
  readonly unitWord: string;
  readonly open: (photo: HungPhoto) => void;
}

function PictureWall({ wall, hanging, unitWord, ...figure }: PictureWallProps) {
  const { way, isHidden } = hanging;
  if (way === 'side')
    return (
      <>
        <Soft>
          {wall.hasScale
            ? 'At one scale: the same length is as long in each.'
            : 'Not at one scale: some have no length marked. Open them and mark one.'}
        </Soft>
        <div data-wall>
          {wall.side.map((photo, i) => (
            <Hung
              {...figure}
              key={photo.id}
              photo={photo}
              isHidden={isHidden}
              words={isHidden ? `picture ${i + 1}` : `${photo.code}, ${shortDay(photo.takenOn)}`}
            />
          ))}
        </div>
      </>
    );
  return (
    <>
      {wall.pairs.length === 0 && <Soft>No {unitWord} has pictures of two days yet.</Soft>}
      <div data-pairs>
        {wall.pairs.map(({ code, before, after }, i) => (
          <div key={code}>
            {[before, after].map(photo => (
              <Hung
                {...figure}
                key={photo.id}
                photo={photo}
                isHidden={isHidden}
                words={`${isHidden ? `${unitWord} ${i + 1}` : code}, ${shortDay(photo.takenOn)}`}
              />
            ))}
          </div>
        ))}
      </div>
    </>
  );
}

interface HungProps {
  readonly trialId: string;
  readonly photo: HungPhoto;
  readonly isHidden: boolean;
  readonly words: string;
  readonly open: (photo: HungPhoto) => void;
}

function Hung({ trialId, photo, isHidden, words, open }: HungProps) {
  return (
    <figure>
      <BareButton
        onClick={() => open(photo)}
        aria-label={`Look at ${words} closely`}
        style={{ width: `${100 * photo.drawn}%` }}
      >
        {/* biome-ignore lint/performance/noImgElement: it is small already, and made by this application */}
        <img
          src={`/api/photos/${trialId}/${photo.id}?size=small`}
          alt={words}
          style={{ aspectRatio: photo.ratio }}
          loading="lazy"
        />
      </BareButton>
      <figcaption>
        {words}
        {!isHidden && photo.tag && (
          <>
            <PlantLabel look={photo.tag} width={14} /> {photo.tag.name}
          </>
        )}
      </figcaption>
    </figure>
  );
}

interface WallFieldsProps {
  readonly walls: PhotosProps['walls'];
  readonly wall: PhotoWall;
  readonly hanging: Hanging;
  readonly change: (changes: Partial<Hanging>) => void;
}

function WallFields({ walls, wall, hanging, change }: WallFieldsProps) {
  return (
    <>
      <div data-fields>
        {walls.length > 1 && (
          <Choice
            label="They show"
            name="wall"
            value={wall.shows}
            onChange={shows => change({ shows })}
            options={walls.map(each => ({ value: each.shows, label: each.words }))}
            direction="row"
          />
        )}
        <Choice
          label="Show"
          name="wallWay"
          value={hanging.way}
          onChange={way => change({ way })}
          options={[
            { value: 'side', label: 'side by side' },
            { value: 'pairs', label: 'first and last' },
          ]}
          direction="row"
        />
      </div>
      <Tick isOn={hanging.isHidden} onChange={isHidden => change({ isHidden })}>
        Hide whose they are: let somebody else put them in order
      </Tick>
    </>
  );
}

const Wall = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr);
  & [data-fields] { display: flex; flex-wrap: wrap; gap: 8px 32px; }
  & [data-bench] { max-width: 640px; }
  & > label { display: flex; gap: 8px; align-items: center; min-height: 32px; }
  & input[type='checkbox'] { width: 18px; height: 18px; accent-color: var(--clay); flex: none; }
  & [data-wall] { display: grid; grid-template-columns: repeat(auto-fill, minmax(170px, 1fr)); gap: 16px; align-items: end; }
  & [data-pairs] { display: grid; grid-template-columns: repeat(auto-fill, minmax(340px, 1fr)); gap: 20px; }
  & [data-pairs] > div { display: grid; grid-template-columns: 1fr 1fr; gap: 8px; align-items: end; }
  & figure { margin: 0; display: grid; gap: 6px; }
  & figure button { border: 0; background: none; padding: 0; cursor: zoom-in; justify-self: start; }
  & figure button:focus-visible { outline: 3px solid var(--clay); outline-offset: 2px; }
  & img { width: 100%; display: block; background: var(--slate-deep); }
  & figcaption { display: flex; flex-wrap: wrap; gap: 4px 8px; align-items: center; font-size: 0.9375rem; font-variant-numeric: tabular-nums slashed-zero; }
  & [data-acts] { display: flex; flex-wrap: wrap; gap: 12px; }
  & section { border-block: 1px solid var(--rule); padding-block: 12px; display: grid; gap: 12px; }
  @media (max-width: 640px) { & [data-wall] { grid-template-columns: repeat(2, minmax(0, 1fr)); } & [data-pairs] { grid-template-columns: minmax(0, 1fr); } }
  @media (pointer: coarse) { & > label { min-height: 48px; } }
`;
