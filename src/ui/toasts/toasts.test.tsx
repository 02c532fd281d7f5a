import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { LateToasts } from './LateToasts';
import { tell } from './tell';

const told = (words: string, undo = jest.fn().mockResolvedValue(undefined)) => {
  act(() => tell({ words, undo }));
  return undo;
};

test('nothing is there until something is told; then the last of it, with its way back', async () => {
  const user = userEvent.setup();
  render(<LateToasts />);
  expect(screen.queryByRole('region')).toBeNull();
  told('Weekly feed: done.');
  expect(await screen.findByRole('alertdialog')).toHaveTextContent('Weekly feed: done.');
  const undo = told('Soap spray: done.');
  expect(await screen.findByText('Soap spray: done.')).toBeVisible();
  expect(screen.queryByText('Weekly feed: done.')).toBeNull();
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  expect(undo).toHaveBeenCalledTimes(1);
  expect(await screen.findByText('Undone.')).toBeVisible();
  expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
});

test('what stood in the way of undoing it is said, and it can be closed', async () => {
  const user = userEvent.setup();
  render(<LateToasts />);
  told('Weekly feed: done.', jest.fn().mockResolvedValue('The trial is closed.'));
  await user.click(await screen.findByRole('button', { name: 'Undo' }));
  expect(await screen.findByText('The trial is closed.')).toBeVisible();
  await user.click(screen.getByRole('button', { name: 'Close' }));
  expect(screen.queryByRole('alertdialog')).toBeNull();
});
