/** What a field needs to show one value of a form, and to change it. */
export interface BoundField<Value> {
  readonly name: string;
  readonly value: Value;
  readonly onChange: (value: Value) => void;
  readonly trouble: string | undefined;
  readonly isReadOnly: boolean;
}

/** Binds one key of a form. */
export type FieldOf<Form> = <Key extends keyof Form & string>(key: Key) => BoundField<Form[Key]>;

interface FormState<Form> {
  readonly form: Form;
  readonly change: (changes: Partial<Form>) => void;
  /** One sentence a field, by its path. */
  readonly troubles?: Readonly<Record<string, string>>;
  /** Where the form's own values stand in the whole form: `rules.`. */
  readonly path?: string;
  /** Before each field's name, where another form on the page has fields of the same names. */
  readonly prefix?: string;
  readonly isReadOnly?: boolean;
}

/** Binds fields to a form's values by their keys: `<TextField label="Who" {...field('by')} />`. */
export function fieldsOf<Form extends object>({
  form,
  change,
  troubles = {},
  path = '',
  prefix = '',
  isReadOnly = false,
}: FormState<Form>): FieldOf<Form> {
  return key => ({
    name: prefix === '' ? key : `${prefix}${key.charAt(0).toUpperCase()}${key.slice(1)}`,
    value: form[key],
    onChange: value => {
      const changes: Partial<Form> = {};
      changes[key] = value;
      change(changes);
    },
    trouble: troubles[`${path}${key}`],
    isReadOnly,
  });
}
