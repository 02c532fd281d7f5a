import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { failure, success } from '@/core/result';
import { Stages } from './Stages';

test('a stage’s wrong day is told at its own line, which is in hand, and can be put right', async () => {
  const user = userEvent.setup();
  const date = jest
    .fn()
    .mockResolvedValueOnce(
      failure({ kind: 'invalid', fields: { day: 'That is not a day of the calendar.' } }),
    )
    .mockResolvedValue(success(true));
  render(
    <Stages
      stages={[
        { name: 'first flower', day: '' },
        { name: 'first pod', day: '' },
      ]}
      isClosed={false}
      date={date}
    />,
  );
  const line = screen.getByLabelText('first pod');
  await user.type(line, '41 July');
  await user.click(screen.getByRole('button', { name: 'It came' }));
  await waitFor(() => expect(line).toHaveFocus());
  expect(line).toHaveAccessibleDescription('That is not a day of the calendar.');
  expect(line).toHaveValue('41 July');
  await user.clear(line);
  await user.type(line, '4/7/2026');
  await user.click(screen.getByRole('button', { name: 'It came' }));
  expect(date).toHaveBeenLastCalledWith({ stage: 'first pod', day: '2026-07-04' });
});
