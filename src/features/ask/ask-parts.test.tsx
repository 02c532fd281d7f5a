import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { questionPattern } from '@/core/design/question/question-patterns';
import type { QuestionForm } from '@/core/design/question/question-shape';
import { failure, success } from '@/core/result';
import { ControlNeeded, WhatIsCompared } from './ControlAdvice';
import { CrossedFactors } from './CrossedFactors';
import { DoseSeries } from './DoseSeries';
import { MarginFields } from './MarginFields';
import { Predictions } from './Predictions';
import { emptyQuestion } from './question-draft';
import { Rules } from './Rules';

const form = (changes: Partial<QuestionForm> = {}, pattern?: string): QuestionForm => ({
  ...emptyQuestion('2026-05-01', questionPattern(pattern)),
  ...changes,
});

function Crossed({ start }: { readonly start: Pick<QuestionForm, 'factors' | 'emptyCells'> }) {
  const [state, setState] = useState(start);
  return (
    <CrossedFactors
      {...state}
      troubles={{}}
      isLocked={false}
      onChange={(factors, emptyCells) => setState({ factors, emptyCells })}
    />
  );
}

function Series() {
  const [series, setSeries] = useState<QuestionForm['series']>({
    name: 'depth',
    unit: 'cm',
    doses: '0 5',
  });
  return <DoseSeries series={series} troubles={{}} isLocked={false} onChange={setSeries} />;
}

function Margin({ money }: { readonly money: QuestionForm['money'] }) {
  const [state, setState] = useState(form({ money }));
  return (
    <MarginFields
      form={state}
      troubles={{}}
      isLocked={false}
      onChange={changes => setState({ ...state, ...changes })}
    />
  );
}

function Agreed() {
  const [state, setState] = useState(form());
  return (
    <Rules
      form={state}
      treatments={['water', 'a', 'b']}
      troubles={{}}
      isLocked={false}
      onChange={changes => setState({ ...state, ...changes })}
    />
  );
}

function write(field: Element | undefined, text: string): void {
  if (!field) throw new Error('the field must be there');
  fireEvent.change(field, { target: { value: text } });
}

describe('things crossed', () => {
  test('begin as two empty lines, and grow into cells as they are written', async () => {
    const user = userEvent.setup();
    render(<Crossed start={{ factors: [], emptyCells: [] }} />);
    expect(screen.queryByRole('checkbox')).toBeNull();
    const [soil, feed] = screen.getAllByLabelText(/thing that differs/);
    const [soils, feeds] = screen.getAllByLabelText(/Its levels/);
    write(soil, 'soil');
    for (const text of ['loam', 'loam,', 'loam, ', 'loam, b', 'loam, bark']) {
      write(soils, text);
      expect(soils).toHaveValue(text);
    }
    write(feed, 'feed');
    write(feeds, 'none, fed, twice');
    expect(screen.getAllByRole('checkbox')).toHaveLength(6);
    expect(screen.getByText('Combinations that are grown: 6 of 6')).toBeVisible();
    expect(screen.getByRole('checkbox', { name: /loam, none/ })).toBeDisabled();
    await user.click(screen.getByRole('checkbox', { name: 'bark, twice' }));
    expect(screen.getByText(/Whether soil depends on feed will show in part/)).toBeVisible();
  });

  test('what only comes together is said to be so', () => {
    render(
      <Crossed
        start={{
          factors: [
            { name: 'soil', levels: ['loam', 'bark'] },
            { name: 'feed', levels: ['none', 'fed'] },
          ],
          emptyCells: ['loam, fed', 'bark, none'],
        }}
      />,
    );
    expect(
      screen.getByText(/What soil and feed do can’t be told apart from the rest/),
    ).toBeVisible();
  });
});

test('doses show their labels as soon as they can be read', () => {
  render(<Series />);
  expect(screen.queryByRole('list', { name: 'Treatments' })).toBeNull();
  write(screen.getByLabelText('Doses'), '0 5 10');
  expect(screen.getAllByRole('listitem').map(item => item.textContent)).toEqual([
    'A0 cm',
    'B5 cm',
    'C10 cm',
  ]);
});

describe('the margin from money', () => {
  test('cost over worth, rounded up so that it really pays', async () => {
    render(<Margin money={{ costEach: '0.50', worthPerKg: '6', presentKg: '0.7' }} />);
    expect(screen.queryByText('A figure, such as 0.60.')).toBeNull();
    expect(screen.getByText(/It pays from/)).toHaveTextContent(
      'It pays from 11.9% more: 0.5 ÷ (6 × 0.7) = 11.9%, 83.3 g more a pot.',
    );
    await userEvent.setup().click(screen.getByRole('button', { name: 'Take 12% as worth having' }));
    expect(screen.getByLabelText('At least, %')).toHaveValue('12');
  });

  test('nothing is worked out from half of it, nor taken where no crop could pay', () => {
    const { rerender } = render(
      <Margin money={{ costEach: '0.50', worthPerKg: '', presentKg: '1' }} />,
    );
    expect(screen.queryByText(/It pays from/)).toBeNull();
    rerender(
      <Margin
        key="no figure"
        money={{ costEach: '0.50', worthPerKg: 'priceless', presentKg: '1' }}
      />,
    );
    expect(screen.getByText('A figure, such as 0.60.')).toBeVisible();
    rerender(<Margin key="dear" money={{ costEach: '900', worthPerKg: '1', presentKg: '1' }} />);
    expect(screen.getByText(/It pays from/)).toBeVisible();
    expect(screen.queryByRole('button', { name: /as worth having/ })).toBeNull();
  });
});

test('each kind of question says which control it needs, and why; what is compared can be chosen', async () => {
  const change = jest.fn();
  const { rerender } = render(<ControlNeeded act={form({}, 'which-remedy').act} />);
  expect(screen.getByText(/A spray of plain water on the same days/)).toBeVisible();
  rerender(<ControlNeeded act={form({}, 'slugs').act} />);
  expect(screen.getByText(/A control that gets nothing/)).toBeVisible();
  rerender(<WhatIsCompared form={form({}, 'slugs')} change={change} />);
  await userEvent.selectOptions(screen.getByLabelText('What is compared is'), 'a mulch');
  expect(change).toHaveBeenCalledWith({ act: 'mulch' });
});

test('a stage is asked for only where the trial ends by one', async () => {
  const user = userEvent.setup();
  render(<Agreed />);
  await user.click(screen.getByText('Agreed before the start'));
  expect(screen.queryByLabelText('Which stage')).toBeNull();
  await user.click(screen.getByText('at a stage'));
  expect(screen.getByLabelText('Which stage')).toBeVisible();
});

describe('predictions', () => {
  test('what is refused stays written; what is sealed is cleared and not shown', async () => {
    const user = userEvent.setup();
    const predict = jest
      .fn()
      .mockResolvedValueOnce(failure({ kind: 'invalid', fields: { why: 'Say why.' } }))
      .mockResolvedValueOnce(success({}));
    render(
      <Predictions
        sealed={[{ by: 'Tomas', sealedAt: '2026-05-01T08:00:00.000Z' }]}
        treatments={['water', 'feed']}
        comparisons={['feed against water']}
        otherMeasures={[{ id: 'h', name: 'Height' }]}
        predict={predict}
      />,
    );
    expect(screen.getByText(/Sealed until the verdict: Tomas/)).toBeVisible();
    write(screen.getByLabelText('Who'), 'Ines');
    await user.selectOptions(screen.getByLabelText('What will do best'), 'feed');
    await user.click(screen.getByRole('button', { name: 'Seal it' }));
    expect(await screen.findByText('Say why.')).toBeVisible();
    expect(screen.getByLabelText('Who')).toHaveValue('Ines');
    write(screen.getByLabelText('Why'), 'It helped.');
    await user.click(screen.getByRole('button', { name: 'Seal it' }));
    expect(predict).toHaveBeenLastCalledWith({
      by: 'Ines',
      measureId: '',
      comparison: '',
      expects: 'feed',
      why: 'It helped.',
    });
    expect(await screen.findByDisplayValue('no difference that matters')).toBeVisible();
    expect(screen.getByLabelText('Why')).toHaveValue('');
  });

  test('one comparison of another measure is foretold by more or less, and forgets what was chosen of the whole', async () => {
    const user = userEvent.setup();
    const predict = jest.fn().mockResolvedValueOnce(success({}));
    render(
      <Predictions
        sealed={[]}
        treatments={['water', 'feed']}
        comparisons={['feed against water']}
        otherMeasures={[{ id: 'h', name: 'Height' }]}
        predict={predict}
      />,
    );
    write(screen.getByLabelText('Who'), 'Ines');
    await user.selectOptions(screen.getByLabelText('What will do best'), 'feed');
    await user.selectOptions(screen.getByLabelText('The guess is about'), 'feed against water');
    await user.selectOptions(screen.getByLabelText('Of what is measured'), 'height');
    const gives = screen.getByLabelText('The first of the two gives');
    expect(gives).toHaveDisplayValue('no difference that matters');
    await user.selectOptions(gives, 'less');
    write(screen.getByLabelText('Why'), 'It runs to leaf.');
    await user.click(screen.getByRole('button', { name: 'Seal it' }));
    expect(predict).toHaveBeenLastCalledWith({
      by: 'Ines',
      measureId: 'h',
      comparison: 'feed against water',
      expects: 'less',
      why: 'It runs to leaf.',
    });
  });

  test('once something was weighed nobody is asked any more', () => {
    render(
      <Predictions
        sealed={[]}
        treatments={['water', 'feed']}
        comparisons={['feed against water']}
        otherMeasures={[{ id: 'h', name: 'Height' }]}
        predict={null}
      />,
    );
    expect(screen.queryByRole('button', { name: 'Seal it' })).toBeNull();
  });
});
