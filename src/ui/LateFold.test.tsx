import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { LateFold } from './LateFold';

function Counting() {
  const [pressed, setPressed] = useState(0);
  return (
    <button type="button" onClick={() => setPressed(pressed + 1)}>
      pressed {pressed}
    </button>
  );
}

const fold = (isOpen?: boolean) => (
  <LateFold title="More" what="More" {...(isOpen === undefined ? {} : { isOpen })}>
    <Counting />
  </LateFold>
);

test('what is in it comes when it is opened, and stays when it is folded', async () => {
  render(fold());
  expect(screen.queryByText('pressed 0')).toBeNull();
  await userEvent.click(screen.getByRole('button', { name: 'More' }));
  await userEvent.click(screen.getByText('pressed 0'));
  await userEvent.click(screen.getByRole('button', { name: 'More' }));
  expect(screen.getByText('pressed 1')).not.toBeVisible();
});

test('what was opened from outside keeps what was done in it when it is no longer asked to be open', async () => {
  const { rerender } = render(fold(false));
  rerender(fold(true));
  await userEvent.click(screen.getByText('pressed 0'));
  rerender(fold(false));
  expect(screen.getByText('pressed 1')).toBeVisible();
});
