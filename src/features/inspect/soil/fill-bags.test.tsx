import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { I18nProvider } from 'react-aria-components';
import { success } from '@/core/result';
import { FillBags } from './FillBags';

test.each([
  ['en-GB', '15 cm', '12 cm', '120'],
  ['en-US', '6 in', '6', '152'],
])('in %s a bag is filled down to %s at first; “%s” is %s mm', async (locale, first, typed, mm) => {
  const fill = jest.fn().mockResolvedValue(success(null));
  render(
    <I18nProvider locale={locale}>
      <FillBags codes={['A1', 'A2']} today="2026-06-01" fill={fill} />
    </I18nProvider>,
  );
  const depth = screen.getByLabelText('Down to');
  expect(depth).toHaveValue(first);
  await userEvent.clear(depth);
  await userEvent.type(depth, 'a spade');
  expect(screen.getByText(/a spade/)).toBeVisible();
  await userEvent.clear(depth);
  await userEvent.type(depth, typed);
  await userEvent.click(screen.getByRole('button', { name: 'Number 2 bags' }));
  await waitFor(() =>
    expect(fill).toHaveBeenCalledWith(expect.objectContaining({ depthMm: mm, cores: '5' })),
  );
});
