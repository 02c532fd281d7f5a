'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { aliasingOf } from '@/core/design/audit/aliasing';
import { aliasingWords } from '@/core/design/audit/aliasing-words';
import type { QuestionForm } from '@/core/design/question/question-shape';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import { crossedCells } from '@/core/trial/forms/treatment-form';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/fields/TextField';
import { Tick } from '@/ui/fields/Tick';
import { Soft } from '@/ui/Page';

interface CrossedFactorsProps {
  readonly factors: QuestionForm['factors'];
  readonly emptyCells: readonly string[];
  readonly troubles: FieldTroubles;
  readonly isLocked: boolean;
  readonly onChange: (factors: QuestionForm['factors'], emptyCells: string[]) => void;
}

const BLANK = { name: '', levels: ['', ''] };

/** Two or three things crossed: their levels, which combinations are grown, and what those can tell apart. */
export function CrossedFactors({
  factors: written,
  emptyCells,
  troubles,
  isLocked,
  onChange,
}: CrossedFactorsProps) {
  const factors =
    written.length < 2 ? [...written, ...[BLANK, BLANK].slice(written.length)] : written;
  const change = (at: number, factor: QuestionForm['factors'][number]): void =>
    onChange(
      factors.map((each, i) => (i === at ? factor : each)),
      [...emptyCells],
    );
  const named = factors
    .map(factor => ({
      name: factor.name,
      levels: factor.levels.filter(level => level.trim() !== ''),
    }))
    .filter(factor => factor.name !== '' && factor.levels.length > 1);
  const cells = named.length > 1 ? crossedCells(named) : [];
  const grown = cells.filter(cell => !emptyCells.includes(cell.name));
  return (
    <Crossed>
      {factors.map((factor, f) => (
        <FactorFields
          // biome-ignore lint/suspicious/noArrayIndexKey: a factor is its place in the list until it is saved
          key={f}
          nth={f}
          factor={factor}
          troubles={troubles}
          isLocked={isLocked}
          onChange={changed => change(f, changed)}
        />
      ))}
      {troubles.factors && <b>{troubles.factors}</b>}
      {!isLocked && factors.length < 3 && (
        <Button data-tone="quiet" onPress={() => onChange([...factors, BLANK], [...emptyCells])}>
          Add a third
        </Button>
      )}
      {cells.length > 0 && cells.length <= 48 && (
        <GrownCells
          grown={grown}
          cells={cells}
          emptyCells={emptyCells}
          isLocked={isLocked}
          onChange={onChange}
          factors={factors}
        />
      )}
      {named.length > 1 && grown.length > 1 && (
        <ToldApartWords factors={named} cells={grown.map(cell => cell.levels)} />
      )}
    </Crossed>
  );
}

interface GrownCellsProps {
  readonly grown: { readonly name: string; readonly levels: Readonly<Record<string, string>> }[];
  readonly cells: readonly {
    readonly name: string;
    readonly levels: Readonly<Record<string, string>>;
  }[];
  readonly emptyCells: CrossedFactorsProps['emptyCells'];
  readonly isLocked: CrossedFactorsProps['isLocked'];
  readonly onChange: CrossedFactorsProps['onChange'];
  readonly factors: { name: string; levels: string[] }[];
}

/** Which combinations are grown, and what then can be told. */
function GrownCells({ grown, cells, emptyCells, isLocked, onChange, factors }: GrownCellsProps) {
  return (
    <fieldset data-cells>
      <legend>
        Combinations that are grown: {grown.length} of {cells.length}
      </legend>
      {cells.map((cell, i) => (
        <Tick
          key={cell.name}
          isOn={!emptyCells.includes(cell.name)}
          isDisabled={isLocked || i === 0}
          onChange={isGrown =>
            onChange(
              [...factors],
              isGrown ? emptyCells.filter(name => name !== cell.name) : [...emptyCells, cell.name],
            )
          }
        >
          {cell.name}
          {i === 0 && <small> (the control)</small>}
        </Tick>
      ))}
    </fieldset>
  );
}

interface FactorFieldsProps {
  readonly nth: number;
  readonly factor: QuestionForm['factors'][number];
  readonly troubles: FieldTroubles;
  readonly isLocked: boolean;
  readonly onChange: (factor: QuestionForm['factors'][number]) => void;
}

const NTH = ['First', 'Second', 'Third'] as const;

/** One thing that differs. Its levels stay as they are typed, commas and all, and are told apart beside that. */
function FactorFields({ nth, factor, troubles, isLocked, onChange }: FactorFieldsProps) {
  const [written, setWritten] = useState(factor.levels.join(', '));
  const shown =
    levelsIn(written).join() === factor.levels.join() ? written : factor.levels.join(', ');
  return (
    <fieldset>
      <TextField
        label={`${NTH[nth] ?? 'Another'} thing that differs`}
        name={`factor-${nth}`}
        value={factor.name}
        onChange={name => onChange({ ...factor, name })}
        trouble={troubles[`factors.${nth}.name`]}
        isReadOnly={isLocked}
        placeholder={nth === 0 ? 'soil' : 'feed'}
      />
      <TextField
        label="Its levels, the usual one first"
        name={`levels-${nth}`}
        value={shown}
        onChange={text => {
          setWritten(text);
          onChange({ ...factor, levels: [...levelsIn(text)] });
        }}
        trouble={troubles[`factors.${nth}.levels`]}
        isReadOnly={isLocked}
        hint={isLocked || nth > 0 ? undefined : 'With commas between them.'}
        placeholder={nth === 0 ? 'garden soil, bought mix' : 'plain water, liquid feed'}
      />
    </fieldset>
  );
}

function levelsIn(written: string): readonly string[] {
  return written.split(',').map(level => level.trim());
}

function ToldApartWords({
  factors,
  cells,
}: {
  readonly factors: readonly { readonly name: string; readonly levels: readonly string[] }[];
  readonly cells: readonly Readonly<Record<string, string>>[];
}) {
  const { lost, told } = aliasingWords(aliasingOf(factors, cells));
  return (
    <Soft>
      {lost !== '' && <b>{lost} </b>}
      {told}
    </Soft>
  );
}

const Crossed = styled.div`
  display: grid; gap: 12px; justify-items: start;
  & fieldset { border: 0; padding: 0; margin: 0; min-width: 0; width: 100%; display: grid; grid-template-columns: 1fr 2fr; gap: 16px; align-items: start; }
  & fieldset[data-cells] { grid-template-columns: repeat(auto-fill, minmax(220px, 1fr)); gap: 4px 16px; }
  & legend { font-weight: 600; font-size: 0.9375rem; padding: 0 0 4px; }
  & label { display: flex; gap: 10px; align-items: center; min-height: 32px; }
  & fieldset label > input { width: 18px; height: 18px; accent-color: var(--clay); flex: none; }
  & > b { color: var(--beet); font-size: 0.9375rem; }
  @media (max-width: 640px) { & fieldset { grid-template-columns: minmax(0, 1fr); gap: 8px; } }
  @media (pointer: coarse) { & fieldset[data-cells] label { min-height: 48px; } }
`;
