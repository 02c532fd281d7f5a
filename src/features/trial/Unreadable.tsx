import { Trouble } from '@/ui/Trouble';

/** Trials of which something in the data file can't be read: said by name, while the rest of the garden goes on. */
export function Unreadable({
  trials,
}: {
  readonly trials: readonly { readonly id: string; readonly question: string }[];
}) {
  return trials.map(({ id, question }) => (
    <Trouble key={id}>
      “{question}” can’t be read: its data in the file is damaged. It was left as it is, and the
      other trials work. A backup from before stands under Garden.
    </Trouble>
  ));
}
