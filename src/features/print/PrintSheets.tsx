'use client';

import { styled } from 'styled-components';
import { pluralOf } from '@/core/words/plural';
import { Button } from '@/ui/Button';
import { Choice } from '@/ui/fields/Choice';
import type { FieldOf } from '@/ui/fields/form-fields';
import { useForm } from '@/ui/fields/use-form';
import { Link } from '@/ui/Link';
import { Mind, Soft } from '@/ui/Page';

interface PrintSheetsProps {
  readonly base: string;
  readonly isDealt: boolean;
  /** Then printing what each got is a look at the key. */
  readonly isKeyShut: boolean;
  readonly paper: 'a4' | 'letter';
  readonly unitWord: string;
  readonly layOutHref: string;
  /** Where phones reach the garden; null: nowhere but on this computer. */
  readonly sharedAt: string | null;
}

interface PrintSheetsValues {
  readonly paper: PrintSheetsProps['paper'];
  readonly format: '3x8' | '2x7' | 'strips';
  readonly key: 'blind' | 'open';
}

/** Sheets on which it can stand what each got. */
const KEY_SHEETS: ReadonlySet<string> = new Set(['labels', 'plan']);

/** Labels, bench plan, clipboard sheets and protocol, each as a PDF. */
export function PrintSheets({
  base,
  isDealt,
  isKeyShut,
  paper: usual,
  unitWord,
  layOutHref,
  sharedAt,
}: PrintSheetsProps) {
  const { form, field } = useForm<PrintSheetsValues>({ paper: usual, format: '3x8', key: 'blind' });
  const { paper, format, key } = form;
  if (!isDealt)
    return (
      <div>
        <h2>Nothing to print yet</h2>
        <p>
          First the {pluralOf(unitWord)} are dealt. <Link href={layOutHref}>Lay out</Link>
        </p>
      </div>
    );
  const href = (sheet: string): string =>
    `${base}/${sheet}?paper=${paper}&format=${format}&key=${KEY_SHEETS.has(sheet) ? key : 'blind'}`;
  const sheets = [
    {
      sheet: 'labels',
      name: 'Labels',
      says: `Code, crop and a square code that opens the ${unitWord} on a phone.`,
    },
    { sheet: 'plan', name: 'Bench plan', says: 'Where each stands, to scale.' },
    {
      sheet: 'clipboard',
      name: 'Clipboard sheets',
      says: 'In walking order, with blanks for four rounds.',
    },
    { sheet: 'protocol', name: 'Protocol', says: 'The plan as steps that a helper can follow.' },
  ];
  return (
    <Sheets>
      <PaperFields field={field} isKeyShut={isKeyShut} />
      <div>
        <CodesLead sharedAt={sharedAt} />
        <ul>
          {sheets.map(({ sheet, name, says }) => (
            <li key={sheet}>
              {key === 'open' && isKeyShut && KEY_SHEETS.has(sheet) ? (
                // A look at the key goes into the log: that is a deed, no mere address.
                <form action={href(sheet)} method="post" target="_blank" rel="noopener">
                  <Button type="submit">{name} (PDF)</Button>
                </form>
              ) : (
                <a href={href(sheet)} target="_blank" rel="noreferrer">
                  {name} (PDF)
                </a>
              )}
              <Soft>{says}</Soft>
            </li>
          ))}
        </ul>
      </div>
    </Sheets>
  );
}

/** Where the square codes lead: a label is printed once, and read all season. */
function CodesLead({ sharedAt }: Pick<PrintSheetsProps, 'sharedAt'>) {
  return sharedAt === null ? (
    <Mind>
      The square codes lead to this computer alone. Start Turnspit by “npm run share” before you
      print, and every phone in the house can open them.
    </Mind>
  ) : (
    <Soft>The square codes lead to {sharedAt}.</Soft>
  );
}

interface PaperFieldsProps {
  readonly field: FieldOf<PrintSheetsValues>;
  readonly isKeyShut: PrintSheetsProps['isKeyShut'];
}

function PaperFields({ field, isKeyShut }: PaperFieldsProps) {
  return (
    <div>
      <Choice
        label="Paper"
        {...field('paper')}
        direction="row"
        options={[
          { value: 'a4', label: 'A4' },
          { value: 'letter', label: 'Letter' },
        ]}
      />
      <Choice
        label="Labels"
        {...field('format')}
        direction="row"
        options={[
          { value: '3x8', label: '24 on a sheet' },
          { value: '2x7', label: '14 on a sheet' },
          { value: 'strips', label: 'strips for stakes' },
        ]}
      />
      <Choice
        label="On labels and plan"
        {...field('key')}
        options={[
          { value: 'blind', label: 'codes only' },
          {
            value: 'open',
            label: 'what each gets, too',
            hint: isKeyShut
              ? 'The trial is blind: this is a look at the key, and put in the log.'
              : undefined,
          },
        ]}
      />
    </div>
  );
}

const Sheets = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); gap: 40px; align-items: start;
  & > div { display: grid; gap: 20px; }
  & ul { list-style: none; margin: 0; padding: 0; }
  & li { border-top: 1px solid var(--rule); padding: 12px 0; }
  & a { font-weight: 600; font-size: 1.125rem; display: inline-block; padding: 4px 0; }
  @media (max-width: 900px) { grid-template-columns: minmax(0, 1fr); gap: 24px; }
  @media (pointer: coarse) { & a { padding: 12px 0; } }
`;
