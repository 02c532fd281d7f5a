'use client';
import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { styled } from 'styled-components';
import { shownUnit } from '@/core/measure/library/shown-unit';
import { readerError } from '@/core/measure/reading/reader-error';
import { counted } from '@/core/words/plural';
import { WriterName } from '@/features/frame/WriterName';
import { loadRefused } from '@/features/walk/offline/lazy-panels';
import { OfflineWords } from '@/features/walk/offline/OfflineWords';
import { useKeptWalk } from '@/features/walk/offline/use-kept-walk';
import { ConnectionStatus } from '@/features/walk/outbox/ConnectionStatus';
import { useOutbox } from '@/features/walk/outbox/use-outbox';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Select } from '@/ui/fields/Select';
import { Link } from '@/ui/Link';
import { Page, Soft } from '@/ui/Page';
import { AtPot, Others } from './AtPot';
import { useWalk, type Walking } from './use-walk';
import type { WalkView } from './walk-view';

const Refused = dynamic(loadRefused, { ssr: false }); // most walks have none

/** Walking round: one pot, one question, large keys. Every value is safe in this browser before the next pot comes. */
export function Walk({
  view,
  children,
}: {
  readonly view: WalkView;
  readonly children?: ReactNode;
}) {
  const outbox = useOutbox(view.trialId);
  const walk = useWalk(view, outbox);
  const kept = useKeptWalk();
  if (view.state !== 'locked' || view.measures.length === 0 || !walk.measure)
    return <Nothing view={view} />;
  return (
    <Page style={{ maxWidth: 640 }} data-walk>
      <Head>
        <Link href={`/trials/${view.trialId}/weigh`}>Leave the walk</Link>
        <ConnectionStatus outbox={outbox} trialId={view.trialId} />
      </Head>
      {outbox.refused.length > 0 && <Refused view={view} outbox={outbox} />}
      {walk.isAllDone && walk.now ? (
        <Done walk={walk} view={view} />
      ) : (
        <AtPot walk={walk} view={view} />
      )}
      <OfflineWords kept={kept} />
      <WriterName />
      {children}
      <HowToWalk walk={walk} view={view} />
    </Page>
  );
}

function Nothing({ view }: { readonly view: WalkView }) {
  return (
    <Page style={{ maxWidth: 640 }}>
      <h1>Nothing to walk round for</h1>
      <p>
        {view.state === 'planned'
          ? 'Nothing is read before the plan is locked.'
          : view.state === 'closed'
            ? 'The trial is closed.'
            : 'Choose first what is read beside the harvest.'}
      </p>
      <p>
        <Link href={`/trials/${view.trialId}/weigh`}>Back to Weigh</Link>
      </p>
    </Page>
  );
}

/** All are read: what comes next, and how sure the reader is. */
function Done({ walk, view }: { readonly walk: Walking; readonly view: WalkView }) {
  const error = readerError(walk.pairs);
  const shown = shownUnit(walk.measure?.unit ?? '', view.system);
  return (
    <>
      <h1>
        {walk.isRepeat ? 'Read twice' : `All ${counted(view.units.length, view.unitWord)} read`}
      </h1>
      {error && (
        <p>
          Read twice, {counted(error.pairs, 'value')} differ by ±
          {Number((error.sd / shown.base).toPrecision(2))} {shown.name}: so far you are from
          yourself. A smaller gap between treatments may be your eye.
        </p>
      )}
      <Others>
        {!walk.isRepeat && (
          <Button data-tone="main" onPress={() => walk.repeat(true)}>
            Read a few again
          </Button>
        )}
        <Button onPress={() => void walk.undo()} isDisabled={!walk.canUndo}>
          Undo the last
        </Button>
        {walk.isRepeat && <Button onPress={() => walk.repeat(false)}>To the first readings</Button>}
      </Others>
      {!walk.isRepeat && (
        <Soft>A few, without looking at what stands: then your own error is known.</Soft>
      )}
    </>
  );
}

function HowToWalk({ walk, view }: { readonly walk: Walking; readonly view: WalkView }) {
  return (
    <Fold title="What, and in which order">
      <Select
        label="What is read"
        name="walkMeasure"
        value={walk.measure?.id ?? ''}
        onChange={walk.choose}
        options={view.measures.map(measure => ({ value: measure.id, label: measure.name }))}
      />
      <Soft>{walk.measure?.scaleWords}</Soft>
      <Select
        label="In the order"
        name="walkOrder"
        value={walk.order}
        onChange={walk.setOrder}
        options={[
          { value: 'bench', label: 'of the bench' },
          { value: 'random', label: 'of today’s lot' },
        ]}
      />
    </Fold>
  );
}

const Head = styled.div`
  display: flex; justify-content: space-between; gap: 12px; align-items: baseline;
  & > span { color: var(--leaf); font-weight: 600; }
  & > span[data-waits] { color: var(--straw); }
  & > a { padding: 8px 0; }
`;
