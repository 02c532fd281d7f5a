'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { styled } from 'styled-components';
import type { ReportTrouble } from '@/core/measure/laboratory/lab-report';
import { printLength } from '@/core/quantity/print-quantity';
import type { Result } from '@/core/result';
import { shortDay } from '@/core/time/days';
import { type TrialTrouble, trialSentence } from '@/core/trial/trial-trouble';
import { counted } from '@/core/words/plural';
import { useSystem } from '@/features/frame/use-garden-units';
import { useAction } from '@/ui/actions/use-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { FilePick } from '@/ui/fields/FilePick';
import { Acts, Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { Trouble } from '@/ui/Trouble';
import { WideTable } from '@/ui/WideTable';
import { FillBags } from './FillBags';
import type { AnalyteCell, AnalyteView, BagView, SoilView } from './soil-view';

type Taken = Promise<Result<number, ReportTrouble>>;

export interface SoilProps {
  readonly view: SoilView;
  readonly codes: readonly string[];
  readonly unitWord: string;
  readonly today: string;
  readonly isClosed: boolean;
  readonly laboratory: {
    readonly name: string;
    readonly isStandIn: boolean;
    readonly answersAfterDays: number;
  };
  readonly fill: (input: unknown) => Promise<Result<unknown, TrialTrouble>>;
  readonly ask: () => Taken;
  readonly takeReport: (csv: string) => Taken;
}

/** Soil to the laboratory and back: numbered bags, its report, before and after. */
export function Soil({
  view,
  codes,
  unitWord,
  today,
  isClosed,
  laboratory,
  fill,
  ask,
  takeReport,
}: SoilProps) {
  const router = useRouter();
  const [said, setSaid] = useState('');
  const { trouble, isPending, run } = useAction<ReportTrouble>({
    kind: 'trial',
    trouble: { kind: 'no-answer' },
  });
  const take = (doing: () => Taken): void => {
    setSaid('');
    run(doing, count => {
      setSaid(`${counted(count, 'value')} taken in.`);
      router.refresh();
    });
  };
  const open = view.bags.filter(bag => !bag.isAnswered);
  return (
    <Box aria-label="Soil and laboratory">
      <h2>Soil and laboratory</h2>
      {view.bags.length === 0 && (
        <Soft>
          No bag yet. One bag a {unitWord} at the start and at the end, from the same depth; all
          cores of a {unitWord} go into its one bag.
        </Soft>
      )}
      {view.analytes.length > 0 && (
        <div data-analytes>
          {view.analytes.map(analyte => (
            <AnalyteTable key={analyte.measureId} analyte={analyte} unitWord={unitWord} />
          ))}
        </div>
      )}
      {view.bags.length > 0 && <BagTable view={view} open={open} />}
      {!isClosed && open.length > 0 && (
        <Laboratory
          take={take}
          ask={ask}
          isPending={isPending}
          laboratory={laboratory}
          takeReport={takeReport}
        />
      )}
      <p role="status">{said}</p>
      {trouble && <ReportRefused trouble={trouble} />}
      {!isClosed && codes.length > 0 && (
        <Fold title="Fill bags">
          <FillBags codes={codes} today={today} fill={fill} />
        </Fold>
      )}
    </Box>
  );
}

/** Why the laboratory's report was not taken. */
function ReportRefused({ trouble }: { readonly trouble: ReportTrouble }) {
  switch (trouble.kind) {
    case 'rows':
      return (
        <div role="alert">
          <b>Nothing was taken.</b>
          <ul>
            {trouble.rows.slice(0, 12).map(row => (
              <li key={`${row.row} ${row.column} ${row.says}`}>
                {row.row > 0 ? `Row ${row.row}: ` : ''}
                {row.says}
              </li>
            ))}
          </ul>
        </div>
      );
    case 'waiting':
      return <Soft role="alert">{trouble.says}</Soft>;
    case 'trial':
      return <Trouble>{trialSentence(trouble.trouble)}</Trouble>;
  }
}

interface LaboratoryProps {
  readonly take: (doing: () => Taken) => void;
  readonly ask: SoilProps['ask'];
  readonly isPending: boolean;
  readonly laboratory: SoilProps['laboratory'];
  readonly takeReport: SoilProps['takeReport'];
}

function Laboratory({ take, ask, isPending, laboratory, takeReport }: LaboratoryProps) {
  return (
    <div>
      <Acts>
        <Button onPress={() => take(ask)} isPending={isPending}>
          Ask the {laboratory.isStandIn ? 'stand-in ' : ''}laboratory
        </Button>
      </Acts>
      <Soft>
        {laboratory.isStandIn
          ? 'A laboratory that is not there: its values are made up and know nothing of treatments. '
          : ''}
        It answers {laboratory.answersAfterDays} days after the last bag.
      </Soft>
      <FilePick
        label="Or a report as a file (CSV: sample, analyte, value, unit)"
        accept=".csv,text/csv"
        isDisabled={isPending}
        onFile={file => take(async () => takeReport(await file.text()))}
      />
    </div>
  );
}

interface BagTableProps {
  readonly view: SoilProps['view'];
  readonly open: BagView[];
}

function BagTable({ view, open }: BagTableProps) {
  const system = useSystem();
  return (
    <Fold
      title={
        <>
          {counted(view.bags.length, 'bag')}
          {open.length > 0 ? `, ${open.length} without an answer` : ''}
        </>
      }
    >
      <WideTable label="Bags of soil">
        <TableHead of={['number', 'of', 'taken', 'depth', 'cores', 'answer']} />
        <tbody>
          {view.bags.map(bag => (
            <tr key={bag.number}>
              <th scope="row">{bag.number}</th>
              <td>{bag.code}</td>
              <td>{shortDay(bag.takenOn)}</td>
              <td>{bag.depthMm === null ? '' : printLength(bag.depthMm, system)}</td>
              <td>{bag.cores}</td>
              <td>{bag.isAnswered ? 'here' : 'waiting'}</td>
            </tr>
          ))}
        </tbody>
      </WideTable>
    </Fold>
  );
}

function AnalyteTable({
  analyte: { name, unit, optimum, days, rows },
  unitWord,
}: {
  readonly analyte: AnalyteView;
  readonly unitWord: string;
}) {
  const hasTreatments = rows.some(row => row.treatment !== null);
  return (
    <div>
      <h3>
        {name}
        {unit === 'pH' ? '' : `, ${unit}`}
      </h3>
      {optimum && (
        <Soft>
          The laboratory aims at {figure(optimum.low)} to {figure(optimum.high)}.
        </Soft>
      )}
      <WideTable label={name}>
        <thead>
          <tr>
            <th scope="col">{unitWord}</th>
            {hasTreatments && <th scope="col">got</th>}
            {days.map(day => (
              <th key={day} scope="col">
                {shortDay(day)}
              </th>
            ))}
            {days.length > 1 && <th scope="col">last less first</th>}
          </tr>
        </thead>
        <tbody>
          {rows.map(row => (
            <tr key={row.code}>
              <th scope="row">{row.code}</th>
              {hasTreatments && <td>{row.treatment}</td>}
              {days.map((day, i) => (
                <td key={day}>{cellWords(row.values[i] ?? null)}</td>
              ))}
              {days.length > 1 && (
                <td>
                  {row.change === null ? '' : `${row.change > 0 ? '+' : ''}${figure(row.change)}`}
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </WideTable>
    </div>
  );
}

function cellWords(cell: AnalyteCell | null): string {
  if (cell === null) return '';
  return cell.isBelowLimit
    ? `below ${figure(2 * cell.value)}`
    : `${figure(cell.value)}${cell.stands === null || cell.stands === 'right' ? '' : `, ${cell.stands}`}`;
}

function figure(value: number): string {
  return String(Number(value.toPrecision(3)));
}

const Box = styled.section`
  display: grid; gap: 12px; grid-template-columns: minmax(0, 1fr); border-top: 1px solid var(--rule); padding-top: 16px;
  & > [data-analytes] { display: grid; grid-template-columns: repeat(auto-fill, minmax(300px, 1fr)); gap: 20px 32px; }
  & > [data-analytes] > div { display: grid; gap: 4px; align-content: start; grid-template-columns: minmax(0, 1fr); }
  & > div:not([data-analytes]), & [data-folded] > div { display: grid; gap: 8px; grid-template-columns: minmax(0, 1fr); }
  & [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: start; }
  & [role='status']:empty { display: none; }
  & [role='status'] { color: var(--leaf); font-weight: 600; }
  & [role='alert'] { border-left: 3px solid var(--beet); padding-left: 12px; }
  & ul { margin: 4px 0 0; padding-left: 18px; }
`;
