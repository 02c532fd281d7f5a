'use client';

import { useCallback, useState } from 'react';
import { styled } from 'styled-components';
import { clearingShare } from '@/core/measure/unit-value/derived-values';
import { type YieldMeasures, yieldBases } from '@/core/measure/unit-value/yield-bases';
import type { MassStyle } from '@/core/quantity/print-quantity';
import { printMass } from '@/core/quantity/print-quantity';
import { longDay } from '@/core/time/days';
import type { Pick } from '@/core/trial/model/pick';
import type { BenchUnit } from '@/features/bench/bench-view';
import { useHistory } from '@/features/trial/use-history';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Soft } from '@/ui/Page';
import { WideTable } from '@/ui/WideTable';
import { pickWords } from './pick-draft';
import { soundSums } from './weigh-sums';

interface UnitPicksProps {
  readonly unit: BenchUnit;
  readonly picks: readonly Pick[];
  readonly style: MassStyle;
  readonly measures: YieldMeasures | undefined;
  /** What its tops weighed at the end, in g. */
  readonly topsG?: number | undefined;
  readonly isClosed: boolean;
  readonly history: (unitId: string) => Promise<readonly Pick[]>;
  readonly onEdit: (pick: Pick) => void;
  readonly onTakeOut: (pick: Pick) => void;
}

/** What one pot has given, each entry to be changed or taken out, and what was changed before. */
export function UnitPicks({
  unit,
  picks,
  style,
  measures,
  topsG,
  isClosed,
  history,
  onEdit,
  onTakeOut,
}: UnitPicksProps) {
  const sums = soundSums(picks);
  const cleared = clearingShare(picks);
  const bases = measures ? yieldBases(sums.netG, measures, style) : [];
  return (
    <section>
      <h2>
        {unit.code} so far: {printMass(sums.netG, style)}
        {sums.pieces > 0 ? `, ${sums.pieces} sound pieces` : ''}
      </h2>
      {sums.netG > 0 && bases.length > 0 && (
        <Soft>That is {bases.map(base => base.words).join(', ')}.</Soft>
      )}
      {cleared && (
        <Soft>
          {cleared.ripe} of {cleared.all} pieces of the final clearing pick were ripe,{' '}
          {Math.round((100 * cleared.ripe) / cleared.all)}%.
        </Soft>
      )}
      {sums.netG > 0 && topsG !== undefined && topsG > 0 && (
        <Soft>
          {Math.round((100 * sums.netG) / (sums.netG + topsG))}% of what grew was harvest; the tops
          weighed {printMass(topsG, style)}.
        </Soft>
      )}
      {picks.length === 0 ? (
        <Soft>No pick yet.</Soft>
      ) : (
        <PickTable
          picks={picks}
          style={style}
          isClosed={isClosed}
          onEdit={onEdit}
          unit={unit}
          onTakeOut={onTakeOut}
        />
      )}
      <History key={unit.id} unitId={unit.id} picks={picks} style={style} history={history} />
    </section>
  );
}

interface PickTableProps {
  readonly picks: UnitPicksProps['picks'];
  readonly style: UnitPicksProps['style'];
  readonly isClosed: UnitPicksProps['isClosed'];
  readonly onEdit: UnitPicksProps['onEdit'];
  readonly unit: UnitPicksProps['unit'];
  readonly onTakeOut: UnitPicksProps['onTakeOut'];
}

function PickTable({ picks, style, isClosed, onEdit, unit, onTakeOut }: PickTableProps) {
  return (
    <Folding>
      <WideTable label={`Picks of ${unit.code}`}>
        <thead>
          <tr>
            <th scope="col">Day</th>
            <th scope="col">Found</th>
            <th scope="col">Note</th>
            <th scope="col">
              <Hidden>Change</Hidden>
            </th>
          </tr>
        </thead>
        <tbody>
          {[...picks]
            .sort((a, b) => (a.pickedOn < b.pickedOn ? 1 : -1))
            .map(pick => (
              <PickRow
                key={pick.id}
                pick={pick}
                style={style}
                isClosed={isClosed}
                onEdit={onEdit}
                unit={unit}
                onTakeOut={onTakeOut}
              />
            ))}
        </tbody>
      </WideTable>
    </Folding>
  );
}

interface PickRowProps {
  readonly pick: Pick;
  readonly style: UnitPicksProps['style'];
  readonly isClosed: UnitPicksProps['isClosed'];
  readonly onEdit: UnitPicksProps['onEdit'];
  readonly unit: UnitPicksProps['unit'];
  readonly onTakeOut: UnitPicksProps['onTakeOut'];
}

function PickRow({ pick, style, isClosed, onEdit, unit, onTakeOut }: PickRowProps) {
  return (
    <tr>
      <td>{longDay(pick.pickedOn)}</td>
      <td>
        {pickWords(pick, style)}
        {pick.tareG > 0 && (
          <Soft as="small">
            {' '}
            {pick.asWritten} less {printMass(pick.tareG, style)}
          </Soft>
        )}
      </td>
      <td>{pick.note}</td>
      <td>
        {!isClosed && (
          <Row>
            <Button
              data-tone="quiet"
              onPress={() => onEdit(pick)}
              aria-label={`Change ${unit.code}, ${longDay(pick.pickedOn)}`}
            >
              Change
            </Button>
            <Button
              data-tone="quiet"
              onPress={() => onTakeOut(pick)}
              aria-label={`Take out ${unit.code}, ${longDay(pick.pickedOn)}`}
            >
              Take out
            </Button>
          </Row>
        )}
      </td>
    </tr>
  );
}

function History({
  unitId,
  picks,
  style,
  history,
}: {
  readonly unitId: string;
  readonly picks: readonly Pick[];
  readonly style: MassStyle;
  readonly history: (unitId: string) => Promise<readonly Pick[]>;
}) {
  const [isOpen, setOpen] = useState(false);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a changed pick means a longer history
  const load = useCallback(() => history(unitId), [history, unitId, picks]);
  const revisions = useHistory(isOpen, load);
  return (
    <Fold title="History of every pick" onOpenChange={setOpen}>
      <ol>
        {revisions?.map(revision => (
          <li key={revision.id}>
            {revision.takenAt.slice(0, 16).replace('T', ' ')} UTC
            {revision.by === '' ? '' : `, ${revision.by}`}: {longDay(revision.pickedOn)},{' '}
            {revision.isRemoval ? 'taken out' : pickWords(revision, style)}
            {revision.supersedes && !revision.isRemoval ? ' (in place of an earlier pick)' : ''}
          </li>
        ))}
      </ol>
    </Fold>
  );
}

const Row = styled.span`
  display: flex; gap: 8px; margin-block: -8px; flex-wrap: wrap;
`;

/** On a phone the acts stay in sight: the words fold. */
const Folding = styled.div`
  && td, && th { white-space: normal; }
`;

const Hidden = styled.span`
  position: absolute; clip-path: inset(50%); width: 1px; height: 1px; overflow: hidden; white-space: nowrap;
`;
