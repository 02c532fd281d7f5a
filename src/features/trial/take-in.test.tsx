import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { TakeIn } from './TakeIn';

const push = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }));

const file = new File(['{}'], 'trial.json', { type: 'application/json' });
const answering = (body: unknown) => {
  global.fetch = jest.fn().mockResolvedValue({ json: () => Promise.resolve(body) });
};
const bring = (): void => {
  fireEvent.change(screen.getByLabelText('Take a trial or a plan in from its file'), {
    target: { files: [file] },
  });
};

beforeEach(() => push.mockClear());

test('a trial that was taken in is gone to', async () => {
  answering({ id: 'x' });
  render(<TakeIn />);
  bring();
  await waitFor(() => expect(push).toHaveBeenCalledWith('/trials/x/ask'));
  expect(screen.queryByRole('alert')).toBeNull();
});

test('why it was not is said beside the field, and gone with the next try', async () => {
  answering({ trouble: 'That is no file of a trial: at format, it has another shape.' });
  render(<TakeIn />);
  bring();
  expect(await screen.findByText(/^That is no file of a trial/)).toBeVisible();
  expect(push).not.toHaveBeenCalled();
  answering({ id: 'y' });
  bring();
  await waitFor(() => expect(screen.queryByText(/^That is no file of a trial/)).toBeNull());
});

test('without an answer it says so, and does not hang', async () => {
  global.fetch = jest.fn().mockRejectedValue(new TypeError('no network'));
  render(<TakeIn />);
  bring();
  expect(
    await screen.findByText('The file could not be sent. Is Turnspit still running?'),
  ).toBeVisible();
  expect(screen.getByLabelText('Take a trial or a plan in from its file')).toBeEnabled();
});
