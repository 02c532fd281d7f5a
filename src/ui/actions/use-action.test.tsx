import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { answerOf, useAction } from './use-action';

function Held({
  change,
}: {
  readonly change: () => Promise<{ readonly ok: true; readonly value: number }>;
}) {
  const { trouble, isPending, run } = useAction<string>('No answer came.');
  return (
    <>
      <button type="button" disabled={isPending} onClick={() => run(change)}>
        Save
      </button>
      <p role="status">{trouble}</p>
    </>
  );
}

test('a change that gets no answer is said, and the button can be pressed again', async () => {
  const user = userEvent.setup();
  const change = jest
    .fn()
    .mockRejectedValueOnce(new TypeError('Failed to fetch'))
    .mockResolvedValue({ ok: true, value: 1 });
  render(<Held change={change} />);
  const button = screen.getByRole('button', { name: 'Save' });
  await user.click(button);
  expect(await screen.findByText('No answer came.')).toBeVisible();
  expect(button).toBeEnabled();
  await user.click(button);
  expect(screen.getByRole('status')).toBeEmptyDOMElement();
});

test('the way to another page is no lost answer', async () => {
  const redirect = Object.assign(new Error('on'), { digest: 'NEXT_REDIRECT;/trials' });
  await expect(answerOf(() => Promise.reject(redirect), 'lost')).rejects.toBe(redirect);
});
