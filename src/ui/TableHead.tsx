/** The heads of a table’s columns, from left to right. */
export function TableHead({ of }: { readonly of: readonly string[] }) {
  return (
    <thead>
      <tr>
        {of.map(head => (
          <th key={head} scope="col">
            {head}
          </th>
        ))}
      </tr>
    </thead>
  );
}
