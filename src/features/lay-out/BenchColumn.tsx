'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { LAYOUTS } from '@/core/design/layouts/layouts';
import { pluralOf } from '@/core/words/plural';
import { Bench } from '@/features/bench/Bench';
import type { BenchView } from '@/features/bench/bench-view';
import { Button } from '@/ui/Button';
import { Link } from '@/ui/Link';
import { Acts, Soft } from '@/ui/Page';
import { ArrangeBench } from './ArrangeBench';
import { KeyLook } from './KeyLook';
import type { LayOutProps } from './lay-out-props';
import { PlantList } from './PlantList';
import { SiteAndTraits } from './SiteAndTraits';
import { TagKey } from './TagKey';

interface BenchColumnProps extends LayOutProps {
  readonly keyBench: BenchView | null;
  readonly setKeyBench: (bench: BenchView | null) => void;
}

/** The bench with all that can be said and done about it. */
export function BenchColumn({ keyBench, setKeyBench, ...props }: BenchColumnProps) {
  const { layout, bench, ground, unitWord, planted, isLocked } = props;
  const [isArranging, setArranging] = useState(false);
  const shownBench = keyBench ?? bench;
  return (
    <>
      {ground && isArranging ? (
        <ArrangeBench
          {...ground}
          blockWord={layout?.blockWord ?? 'block'}
          unitWord={unitWord}
          move={props.arrange}
          drawSite={site => props.describeSite({ site, hasGuards: layout?.hasGuards ?? false })}
        />
      ) : (
        <BenchShown bench={shownBench} unitWord={unitWord} />
      )}
      {planted.length > 0 && <PlantList planted={planted} unitWord={unitWord} />}
      {shownBench && !isArranging && (
        <TagKey tags={props.tags} isHidden={shownBench.units.every(unit => unit.tag === null)} />
      )}
      {layout && (
        <>
          <Soft>
            Dealt {layout.deals === 1 ? 'once' : `${layout.deals} times`},{' '}
            {LAYOUTS[layout.kind].dealtWords(layout)}.{' '}
            {layout.seed === null
              ? 'The seed of the deal is shown when the key is open: with it anybody could deal again.'
              : `Seed ${layout.seed}: the same plan and seed give this bench again.`}
          </Soft>
          <Acts>
            {!isLocked && ground && (
              <Button onPress={() => setArranging(!isArranging)}>
                {isArranging ? 'Done arranging' : 'Arrange it as it stands'}
              </Button>
            )}
            <Link href={props.printHref}>Print labels, plan, sheets and protocol</Link>
          </Acts>
        </>
      )}
      {bench?.units.every(unit => unit.tag === null) && (
        <KeyLook {...props} keyBench={keyBench} setKeyBench={setKeyBench} />
      )}
      <SiteAndTraits {...props} />
    </>
  );
}

function BenchShown({
  bench,
  unitWord,
}: {
  readonly bench: BenchView | null;
  readonly unitWord: string;
}) {
  if (bench)
    return (
      <Bench
        view={bench}
        label="The bench from above"
        lens={unit => ({
          state: 'done',
          share: null,
          words: unit.tag ? unit.tag.name : 'what it gets is hidden',
        })}
      />
    );
  return (
    <Blank>
      <p>Nothing stands here yet.</p>
      <p>
        Say how many {pluralOf(unitWord)} each treatment gets, and deal. Every {unitWord} gets a
        code and a place by lot, not by hand: a hand always finds the better light for its
        favourite.
      </p>
    </Blank>
  );
}

const Blank = styled.div`
  background: var(--slate-deep); padding: 48px 32px; display: grid; gap: 8px; min-height: 260px; align-content: center;
  & p:first-child { font-family: var(--font-heading), sans-serif; font-size: 1.25rem; font-weight: 650; }
  & p { color: var(--ink-soft); }
  & p:first-child { color: var(--ink); }
`;
