import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { practiceLeaves } from '@/core/image/practice-leaf';
import { PracticeEye } from './PracticeEye';

const SEED = 20_260_601;

test('eight leaves are read, each is told at once, and at the end how far the eye is off', async () => {
  const user = userEvent.setup();
  render(<PracticeEye seed={SEED} />);
  await user.click(screen.getByText('Practise your eye on drawn leaves'));
  const field = screen.getByLabelText('Spots, percent of the leaf');
  await user.type(field, 'much{Enter}');
  expect(screen.getByText('Write a percent from 0 to 100.')).toBeVisible();
  await user.clear(field);
  for (const [i, { percent }] of practiceLeaves(SEED).entries()) {
    expect(screen.getByRole('img', { name: `Leaf ${i + 1} of 8` })).toBeVisible();
    await user.type(
      screen.getByLabelText('Spots, percent of the leaf'),
      `${Math.round(percent) + 6}%{Enter}`,
    );
    expect(screen.getByRole('status').textContent).toContain(
      `You said ${Math.round(percent) + 6}%, it is ${Number(percent.toPrecision(2))}%.`,
    );
  }
  expect(screen.getByRole('status').textContent).toMatch(
    /8 leaves: on average you read [56](\.\d)? points too high/,
  );
  await user.click(screen.getByRole('button', { name: 'Eight others' }));
  expect(screen.getByRole('img', { name: 'Leaf 1 of 8' })).toBeVisible();
});
