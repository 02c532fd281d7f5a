import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { renderToString } from 'react-dom/server';
import type { QuestionForm } from '@/core/design/question/question-shape';
import { TreatmentList } from './TreatmentList';

function Held({
  names,
  control = 0,
  troubles = {},
  isLocked = false,
}: {
  readonly names: readonly string[];
  readonly control?: number;
  readonly troubles?: Readonly<Record<string, string>>;
  readonly isLocked?: boolean;
}) {
  const [state, setState] = useState({
    treatments: names.map((name): QuestionForm['treatments'][number] => ({
      name,
      detail: '',
      controlKind: '',
    })),
    control,
  });
  return <TreatmentList {...state} troubles={troubles} isLocked={isLocked} onChange={setState} />;
}

test('treatments are added up to twelve, and taken out down to two', async () => {
  const user = userEvent.setup();
  render(<Held names={['plain water', 'seaweed']} />);
  expect(screen.queryByRole('button', { name: /Take out/ })).toBeNull();
  for (let more = 0; more < 10; more++)
    await user.click(screen.getByRole('button', { name: 'Add a treatment' }));
  expect(screen.queryByRole('button', { name: 'Add a treatment' })).toBeNull();
  expect(screen.getAllByRole('textbox', { name: /^Treatment/ })).toHaveLength(12);
  await user.click(screen.getByRole('button', { name: 'Take out treatment C' }));
  expect(screen.getAllByRole('textbox', { name: /^Treatment/ })).toHaveLength(11);
});

test('two names that were typed before the page’s scripts were there are both taken over', () => {
  const container = document.createElement('div');
  container.innerHTML = renderToString(<Held names={['', '']} />);
  document.body.append(container);
  const [a, b] = container.querySelectorAll('input');
  if (a) a.value = 'plain water';
  if (b) b.value = 'seaweed';
  render(<Held names={['', '']} />, { container, hydrate: true });
  // Written anew after both came, what was lost would be seen to be.
  expect(screen.getByRole('textbox', { name: 'Treatment A' })).toHaveValue('plain water');
  expect(screen.getByRole('textbox', { name: 'Treatment B' })).toHaveValue('seaweed');
});

test('the control stays the same treatment when one above it goes', async () => {
  const user = userEvent.setup();
  render(<Held names={['tea', 'seaweed', 'plain water']} control={2} />);
  await user.click(screen.getByRole('button', { name: 'Take out treatment A' }));
  expect(screen.getByRole('textbox', { name: 'Treatment B' })).toHaveValue('plain water');
  expect(screen.getByText('the control').previousElementSibling).toContainElement(
    screen.getByRole('textbox', { name: 'Treatment B' }),
  );
});

test('trouble stands with its treatment, and a locked list can’t be changed', () => {
  render(
    <Held
      names={['a', 'a', 'c']}
      troubles={{ 'treatments.1.name': 'There is an “a” already.' }}
      isLocked
    />,
  );
  expect(screen.getByText('There is an “a” already.')).toBeVisible();
  expect(screen.queryByRole('button', { name: /Take out|treatment/i })).toBeNull();
  expect(screen.getByRole('textbox', { name: 'Treatment A' })).toHaveAttribute('readonly');
});
