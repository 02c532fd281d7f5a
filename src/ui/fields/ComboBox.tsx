'use client';

import type { SyntheticEvent } from 'react';
import {
  ComboBox as AriaComboBox,
  Button,
  FieldError,
  Input,
  Label,
  ListBox,
  ListBoxItem,
  Popover,
} from 'react-aria-components';
import { styled } from 'styled-components';
import type { SelectProps } from './Select';

/** One of very many, found by typing a part of its name. A name that is not in the list leaves what was chosen. */
export function ComboBox<Value extends string>({
  label,
  name,
  value,
  onChange,
  options,
  trouble,
  isReadOnly,
}: Omit<SelectProps<Value>, 'hidesLabel'>) {
  const chosenName = options.find(each => each.value === value)?.label;
  /** What is typed takes the place of what was chosen, instead of running into it. */
  const mark = ({ currentTarget }: SyntheticEvent<HTMLInputElement>): void => {
    if (currentTarget.value === chosenName) currentTarget.select();
  };
  return (
    <Box
      name={name}
      value={value}
      onChange={chosen => {
        const option = options.find(each => each.value === chosen);
        if (option) onChange(option.value);
      }}
      defaultItems={options.map(option => ({ id: option.value, name: option.label }))}
      menuTrigger="focus"
      isReadOnly={isReadOnly ?? false}
      isInvalid={trouble !== undefined}
      validationBehavior="aria"
      allowsEmptyCollection
    >
      <Label>{label}</Label>
      <div>
        <Input placeholder="type to find it" onFocus={mark} onClick={mark} />
        {!isReadOnly && <Button aria-label={`All of ${label}`}>▾</Button>}
      </div>
      <FieldError>{trouble}</FieldError>
      <List>
        <ListBox<Item> renderEmptyState={() => <p>Nothing here has that name.</p>}>
          {item => <ListBoxItem textValue={item.name}>{item.name}</ListBoxItem>}
        </ListBox>
      </List>
    </Box>
  );
}

interface Item {
  readonly id: string;
  readonly name: string;
}

const Box = styled(AriaComboBox<Item>)`
  display: grid; gap: 4px; align-content: start;
  & label { font-weight: 600; font-size: 0.9375rem; }
  & > div { display: flex; background: var(--paper); border-bottom: 2px solid var(--rule-strong); border-radius: 2px 2px 0 0; }
  & input { flex: 1; min-width: 0; min-height: 40px; padding: 6px 10px; background: none; border: 0; }
  & input::placeholder { color: var(--ink-soft); opacity: 1; }
  & button { flex: none; width: 40px; border: 0; background: none; color: var(--ink); cursor: pointer; }
  &[data-invalid] > div { border-color: var(--beet); }
  &[data-readonly] > div { background: none; border-color: var(--rule); }
  & .react-aria-FieldError { color: var(--beet); font-weight: 600; font-size: 0.9375rem; }
  @media (pointer: coarse) { & input { min-height: 48px; } & button { width: 48px; } }
`;

const List = styled(Popover)`
  width: var(--trigger-width); max-height: min(320px, 50dvh); overflow-y: auto; background: var(--paper); border: 1px solid var(--rule-strong); border-radius: 2px; box-shadow: 0 8px 24px rgb(10 16 12 / 18%);
  & [role='listbox'] { outline: none; padding: 4px; }
  & [role='option'] { padding: 8px 10px; min-height: 36px; border-radius: 2px; cursor: pointer; outline: none; }
  & [role='option'][data-focused] { background: var(--slate-deep); }
  & [role='option'][data-selected] { font-weight: 600; }
  & p { margin: 0; padding: 8px 10px; color: var(--ink-soft); }
  @media (pointer: coarse) { & [role='option'] { min-height: 44px; } }
`;
