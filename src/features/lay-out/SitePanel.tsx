'use client';

import { X } from 'lucide-react';
import { type ReactNode, useOptimistic } from 'react';
import { styled } from 'styled-components';
import type { SiteBias } from '@/core/design/site/site-bias';
import { isLine, SITE_WORDS } from '@/core/design/site/site-features';
import type { Result } from '@/core/result';
import { SiteFeature } from '@/core/trial/model/layout';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { pluralOf } from '@/core/words/plural';
import { useSystem } from '@/features/frame/use-garden-units';
import { useTrialAction } from '@/features/trial/use-trial-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { Tick } from '@/ui/fields/Tick';
import { useForm } from '@/ui/fields/use-form';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { stand } from './LineHandle';

interface SitePanelProps {
  readonly site: readonly SiteFeature[];
  readonly hasGuards: boolean;
  readonly biases: readonly SiteBias[];
  readonly blockWord: string;
  readonly isTurned: boolean;
  readonly hasBlocks: boolean;
  readonly isLocked: boolean;
  readonly draw: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
}

const SIDES = [
  { value: 'left', label: 'on the left' },
  { value: 'right', label: 'on the right' },
  { value: 'far', label: 'at the far edge' },
  { value: 'near', label: 'at the near edge' },
] as const;
const KINDS = SiteFeature.unwrap().shape.kind.options.map(kind => ({
  value: kind,
  label: SITE_WORDS[kind].replace(', high', ': the high end'),
}));

interface SitePanelValues {
  readonly kind: SiteFeature['kind'];
  readonly side: SiteFeature['side'];
  readonly percent: string;
  readonly reach: string;
}

/** What lies about the bench, and what it would do to this deal. */
export function SitePanel(props: SitePanelProps) {
  const { site, hasGuards, biases, isLocked, draw } = props;
  const { trouble, isPending, run } = useTrialAction();
  const [areGuarded, showGuarded] = useOptimistic(hasGuards);
  const put = (next: readonly SiteFeature[], guards = hasGuards): void =>
    run(() => {
      showGuarded(guards);
      return draw({ site: next, hasGuards: guards });
    });
  return (
    <Site aria-label="The site">
      <h2>The site: slope, light, walls, taps</h2>
      {biases.length > 0 && <BiasList {...props} put={put} />}
      {site.length === 0 && (
        <Soft>
          Slope, light, a wall, a path: draw them, and it shows how far each would lean this deal,
          and how to cut the blocks.
        </Soft>
      )}
      <Fold title="Draw what lies about it" tone="soft" isOpen={site.length === 0 && !isLocked}>
        <DrawFeature site={site} put={put} isPending={isPending}>
          {!isLocked && (
            <Tick isOn={areGuarded} onChange={isOn => put(site, isOn)}>
              Guard plants stand round it, unread
            </Tick>
          )}
        </DrawFeature>
      </Fold>
      {trouble && <Trouble>{trialSentence(trouble)}</Trouble>}
      {site.some(isLine) && !isLocked && (
        <Soft>
          Walls, fences, paths and taps are moved to where they are under “Arrange it as it stands”.
        </Soft>
      )}
    </Site>
  );
}

interface BiasListProps extends SitePanelProps {
  readonly put: (next: readonly SiteFeature[]) => void;
}

function BiasList({ biases, put, site, ...layout }: BiasListProps) {
  return (
    <ul>
      {biases.map((bias, i) => (
        <BiasLine
          {...layout}
          key={JSON.stringify([bias.feature.kind, bias.feature.side, bias.feature.line])}
          bias={bias}
          remove={() => put(site.filter((_, at) => at !== i))}
        />
      ))}
    </ul>
  );
}

const RULER = {
  uk: { word: 'cm', words: 'centimetres', mm: 10, reach: '60' },
  us: { word: 'in', words: 'inches', mm: 25.4, reach: '24' },
} as const;

interface DrawFeatureProps {
  readonly site: readonly SiteFeature[];
  readonly put: (next: readonly SiteFeature[]) => void;
  readonly isPending: boolean;
  readonly children: ReactNode;
}

/** One more thing that lies about it. */
function DrawFeature({ site, put, isPending, children }: DrawFeatureProps) {
  const ruler = RULER[useSystem()];
  const { form, field } = useForm<SitePanelValues>({
    kind: 'slope',
    side: 'left',
    percent: '20',
    reach: ruler.reach,
  });
  const { kind, side, percent, reach } = form;
  const hasPlace = isLine({ kind });
  const isNumber = /^\d{1,3}$/.test(percent) && Number(percent) >= 1 && Number(percent) <= 100;
  const isReach = !hasPlace || (/^\d{1,4}$/.test(reach) && Number(reach) >= 1);
  const add = (): void => {
    // There is one slope to a side, but there may be two taps.
    const others = site.filter(each => hasPlace || each.kind !== kind || each.side !== side);
    const reachMm = hasPlace ? Number(reach) * ruler.mm : null;
    put([...others, { kind, side, percent: Number(percent), line: null, reachMm }]);
  };
  return (
    <>
      <div data-fields>
        <Select label="There is" {...field('kind')} options={KINDS} />
        <Select label="Where" {...field('side')} options={SIDES} />
        <TextField
          label={hasPlace ? 'Right beside it, %' : 'From end to end, %'}
          {...field('percent')}
          inputMode="numeric"
          trouble={isNumber ? undefined : '1 to 100'}
        />
        {hasPlace && (
          <TextField
            label={`Felt for, ${ruler.word}`}
            {...field('reach')}
            inputMode="numeric"
            trouble={isReach ? undefined : `Whole ${ruler.words}.`}
          />
        )}
      </div>
      <Acts>
        <Button onPress={add} isPending={isPending} isDisabled={!isNumber || !isReach}>
          Draw it
        </Button>
        {children}
      </Acts>
    </>
  );
}

interface BiasLineProps extends Pick<SitePanelProps, 'blockWord' | 'isTurned' | 'hasBlocks'> {
  readonly bias: SiteBias;
  readonly remove: () => void;
}

function BiasLine({ bias, blockWord, isTurned, hasBlocks, remove }: BiasLineProps) {
  const worst = [...bias.biases].sort((a, b) => Math.abs(b.percent) - Math.abs(a.percent))[0];
  const side = SIDES.find(each => each.value === bias.feature.side)?.label ?? '';
  const better = bias.asColumns > bias.asRows ? 'columns' : 'rows';
  const isWrongCut =
    hasBlocks &&
    bias.takenOut < 0.5 &&
    Math.max(bias.asRows, bias.asColumns) > 0.8 &&
    (better === 'columns') !== isTurned;
  const system = useSystem();
  return (
    <li>
      <span>
        <b>
          {SITE_WORDS[bias.feature.kind]} {bias.feature.line === null ? side : 'where it is drawn'},{' '}
          {bias.feature.percent}%
          {bias.feature.reachMm === null ? '' : `, felt for ${stand(bias.feature.reachMm, system)}`}
          .
        </b>
        {worst &&
          ` It leans this deal by ${Math.abs(worst.percent).toFixed(1)}%${Math.abs(worst.percent) < 0.05 || worst.treatment === '' ? '' : `, most for ${worst.treatment}`}.`}
        {hasBlocks &&
          ` The ${pluralOf(blockWord)} take ${Math.round(100 * bias.takenOut)}% of it out.`}
        {isWrongCut && (
          <b>
            {' '}
            Let the {pluralOf(blockWord)} stand as {better}: then they take{' '}
            {Math.round(100 * Math.max(bias.asRows, bias.asColumns))}% out.
          </b>
        )}
      </span>
      <Button
        data-tone="quiet"
        aria-label={`Take out ${bias.feature.kind} ${side}`}
        onPress={remove}
      >
        <X size={18} aria-hidden />
      </Button>
    </li>
  );
}

const Site = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & ul { list-style: none; margin: 0; padding: 0; display: grid; gap: 6px; }
  & li { display: flex; gap: 8px; justify-content: space-between; align-items: start; max-width: var(--measure); }
  & > [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(120px, 1fr)); gap: 12px; align-items: end; }
  & label > input[type='checkbox'] { width: 18px; height: 18px; accent-color: var(--clay); vertical-align: -3px; }
  @media (max-width: 640px) { & > [data-fields] { grid-template-columns: minmax(0, 1fr); } }
`;
