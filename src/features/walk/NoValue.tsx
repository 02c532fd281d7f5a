'use client';

import { styled } from 'styled-components';
import { Button } from '@/ui/Button';
import { TextLine } from '@/ui/fields/TextLine';
import { Link } from '@/ui/Link';
import { PanelBoundary } from '@/ui/PanelBoundary';
import type { Walking } from './use-walk';
import { WalkPhoto } from './WalkPhoto';
import type { WalkView } from './walk-view';

export interface NoValueProps {
  readonly walk: Walking;
  readonly view: WalkView;
  readonly unit: { readonly id: string; readonly code: string; readonly where: string };
}

/** A note, a picture, or why there is no value. */
export function NoValue({ walk, view, unit }: NoValueProps) {
  return (
    <Why>
      <TextLine
        label="Note"
        name="walkNote"
        value={walk.entry.note}
        onChange={walk.entry.setNote}
      />
      <Button onPress={() => void walk.save('not-looked')}>Not looked at</Button>
      <Button onPress={() => void walk.save('nothing-there')}>Nothing there: zero</Button>
      <Button onPress={() => void walk.save('not-yet')}>Not yet</Button>
      <Button onPress={() => void walk.save('dead')}>It is dead</Button>
      <Button onPress={() => void walk.save('gone')}>It is gone</Button>
      <Link href={`/trials/${view.trialId}/weigh?pot=${unit.code}`}>
        A mishap happened to {unit.code}
      </Link>
      <PanelBoundary what="The picture">
        <WalkPhoto trialId={view.trialId} unitId={unit.id} code={unit.code} day={walk.day} />
      </PanelBoundary>
    </Why>
  );
}

const Why = styled.div`
  display: grid; gap: 10px; margin-top: 8px;
`;
