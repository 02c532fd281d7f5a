'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { styled } from 'styled-components';
import { v7 } from 'uuid';
import { PHOTO_WORDS, PhotoOf } from '@/core/image/photo';
import { FilePick } from '@/ui/fields/FilePick';
import type { FieldOf } from '@/ui/fields/form-fields';
import { Select } from '@/ui/fields/Select';
import { TextField } from '@/ui/fields/TextField';
import { useForm } from '@/ui/fields/use-form';
import { Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { sendPhoto } from './send-photo';

interface AddPhotoProps {
  readonly trialId: string;
  readonly units: readonly { readonly id: string; readonly code: string }[];
  readonly unitWord: string;
  readonly today: string;
}

interface AddPhotoValues {
  readonly unitId: string;
  readonly shows: PhotoOf;
  readonly takenOn: string;
  readonly note: string;
}

/** A picture from the phone or a file, with whose it is and what it shows. */
export function AddPhoto({ trialId, units, unitWord, today }: AddPhotoProps) {
  const router = useRouter();
  const { form, change, field } = useForm<AddPhotoValues>({
    unitId: units[0]?.id ?? '',
    shows: 'plant',
    takenOn: today,
    note: '',
  });
  const { unitId, shows, takenOn, note } = form;
  const [said, setSaid] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const add = async (file: File): Promise<void> => {
    setBusy(true);
    setSaid('');
    const answer = await sendPhoto(trialId, { id: v7(), unitId, takenOn, shows, note }, file);
    setBusy(false);
    setTrouble(
      answer.kind === 'refused'
        ? answer.says
        : answer.kind === 'no-connection'
          ? 'There is no connection. Choose the picture again when it is back.'
          : null,
    );
    if (answer.kind !== 'kept') return;
    setSaid(`${units.find(unit => unit.id === unitId)?.code ?? ''}: kept.`);
    change({ note: '' });
    router.refresh();
  };
  return (
    <Fields>
      <PhotoFields unitWord={unitWord} field={field} units={units} />
      <FilePick
        label="Choose a picture"
        accept="image/jpeg,image/png,image/webp"
        isDisabled={isBusy}
        onFile={file => void add(file)}
      />
      <Soft>
        From the same spot, at the same hour, a rule beside the plant. It is made smaller; where and
        when it was taken is taken out.
      </Soft>
      <p role="status">{isBusy ? 'Sending…' : said}</p>
      {trouble && <Trouble>{trouble}</Trouble>}
    </Fields>
  );
}

interface PhotoFieldsProps {
  readonly unitWord: AddPhotoProps['unitWord'];
  readonly field: FieldOf<AddPhotoValues>;
  readonly units: AddPhotoProps['units'];
}

function PhotoFields({ unitWord, field, units }: PhotoFieldsProps) {
  return (
    <div data-fields>
      <Select
        label={`Of the ${unitWord}`}
        {...field('unitId')}
        options={units.map(unit => ({ value: unit.id, label: unit.code }))}
      />
      <Select
        label="It shows"
        {...field('shows')}
        options={PhotoOf.options.map(value => ({ value, label: PHOTO_WORDS[value] }))}
      />
      <TextField label="Taken on" {...field('takenOn')} type="date" />
      <TextField label="Note" {...field('note')} />
    </div>
  );
}

const Fields = styled.div`
  display: grid; gap: 10px;
  & [data-fields] { display: grid; grid-template-columns: repeat(auto-fit, minmax(150px, 1fr)); gap: 12px; align-items: start; }
  & [role='status'] { min-height: 1.5em; color: var(--leaf); font-weight: 600; }
`;
