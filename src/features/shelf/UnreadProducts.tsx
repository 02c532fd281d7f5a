import { Trouble } from '@/ui/Trouble';

/** Products whose data in the file can't be read: said by name, while the rest of the shelf stands. */
export function UnreadProducts({
  products,
}: {
  readonly products: readonly { readonly id: string; readonly name: string }[];
}) {
  return products.map(({ id, name }) => (
    <Trouble key={id}>
      “{name}” can’t be read: its data in the file is damaged. It was left as it is, and what is
      given of it is not listed. A backup from before stands under Garden.
    </Trouble>
  ));
}
