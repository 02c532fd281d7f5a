import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { success } from '@/core/result';
import { caredFixture } from '@/core/trial/fixtures/care-fixture';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { CareSettingsForm } from './CareSettingsForm';

const { settings } = caredFixture(trialFixture({ treatments: 2, unitsEach: 2 }), []).care;

async function shown() {
  const save = jest.fn().mockResolvedValue(success(true));
  const user = userEvent.setup();
  render(
    <CareSettingsForm settings={settings} unitWord="pot" system="uk" thirst={null} save={save} />,
  );
  await user.click(screen.getByText('Agreed for all alike'));
  const type = async (label: string, written: string): Promise<void> => {
    const field = screen.getByRole('textbox', { name: label });
    await user.clear(field);
    await user.type(field, written);
  };
  const agree = () => user.click(screen.getByRole('button', { name: 'Agree on it' }));
  return { save, user, type, agree };
}

test('what can’t be read is not agreed on without a word: its line is in hand', async () => {
  const { save, type, agree } = await shown();
  await type('Mix in a pot', '9 ells');
  await type('An hour is worth', 'much');
  await agree();
  await waitFor(() => expect(screen.getByRole('textbox', { name: 'Mix in a pot' })).toHaveFocus());
  expect(save).not.toHaveBeenCalled();
  expect(screen.queryByText('Agreed.')).toBeNull();
  await type('Mix in a pot', '9 l');
  await type('An hour is worth', '12');
  await agree();
  expect(await screen.findByText('Agreed.')).toBeVisible();
  expect(save).toHaveBeenCalledWith(expect.objectContaining({ mixMl: 9000, hourWorth: 12 }));
});

test('a share of the weather is asked of who waters by it, and of nobody else', async () => {
  const { save, user, type, agree } = await shown();
  await user.selectOptions(screen.getByRole('combobox', { name: 'Water' }), 'et-share');
  await type('Of what the weather takes, %', 'most');
  await agree();
  expect(save).not.toHaveBeenCalled();
  await user.selectOptions(screen.getByRole('combobox', { name: 'Water' }), 'same');
  await agree();
  await waitFor(() => expect(save).toHaveBeenCalledWith(expect.objectContaining({ etShare: 1 })));
});
