import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { Choice } from './Choice';
import { TextField } from './TextField';
import { useDraft } from './use-draft';

function HeldField() {
  const [value, setValue] = useState('');
  return (
    <TextField
      label="On the scale"
      name="gross"
      value={value}
      onChange={setValue}
      trouble={value === 'heavy' ? '“heavy” is not a weight.' : undefined}
      hint="with its unit"
    />
  );
}

function HeldChoice() {
  const [value, setValue] = useState<'sound' | 'cull'>('sound');
  return (
    <Choice
      label="Grade"
      name="grade"
      value={value}
      onChange={setValue}
      options={[
        { value: 'sound', label: 'sound' },
        { value: 'cull', label: 'cull', hint: 'rot, split, eaten' },
      ]}
    />
  );
}

const readWords = (stored: unknown): string | undefined =>
  typeof stored === 'string' ? stored : undefined;

function HeldDraft() {
  const [words, keep, forget] = useDraft<string>('test-draft', 'nothing yet', readWords);
  return (
    <>
      <input aria-label="words" value={words} onChange={event => keep(event.target.value)} />
      <button type="button" onClick={forget}>
        forget
      </button>
    </>
  );
}

test('what is wrong stands under its field, is tied to it, and what was typed stays', async () => {
  const user = userEvent.setup();
  render(<HeldField />);
  const field = screen.getByRole('textbox', { name: 'On the scale' });
  expect(field).toHaveAccessibleDescription('with its unit');
  await user.type(field, 'heavy');
  expect(field).toBeInvalid();
  expect(field).toHaveAccessibleDescription(/“heavy” is not a weight\./);
  expect(field).toHaveValue('heavy');
});

test('a choice is made by mouse and by arrow keys', async () => {
  const user = userEvent.setup();
  render(<HeldChoice />);
  await user.click(screen.getByText('cull'));
  expect(screen.getByRole('radio', { name: /cull/ })).toBeChecked();
  await user.keyboard('{ArrowUp}');
  expect(screen.getByRole('radio', { name: 'sound' })).toBeChecked();
});

describe('a draft', () => {
  beforeEach(() => window.localStorage.clear());

  test('outlives the page, until it is forgotten', async () => {
    const user = userEvent.setup();
    const first = render(<HeldDraft />);
    await user.clear(screen.getByLabelText('words'));
    await user.type(screen.getByLabelText('words'), 'half a note');
    first.unmount();
    const second = render(<HeldDraft />);
    expect(screen.getByLabelText('words')).toHaveValue('half a note');
    await user.click(screen.getByText('forget'));
    second.unmount();
    render(<HeldDraft />);
    expect(screen.getByLabelText('words')).toHaveValue('nothing yet');
  });

  test.each(['{broken', '{"another":"shape"}'])('stored as %s it is dropped', stored => {
    window.localStorage.setItem('test-draft', stored);
    render(<HeldDraft />);
    expect(screen.getByLabelText('words')).toHaveValue('nothing yet');
  });
});
