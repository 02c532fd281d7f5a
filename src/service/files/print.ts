import { type LabelFormat, type LabelWords, labelSheets } from '@/core/print/label-sheet';
import type { Paper } from '@/core/print/page';
import { benchSheet, clipboardSheets, protocolSheets } from '@/core/print/plan-sheets';
import { failure, type Result, success } from '@/core/result';
import { isKeyOpen } from '@/core/trial/key';
import type { TrialData } from '@/core/trial/model/trial-data';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { qrModules, writePdf } from '@/print/pdf';
import { changeOneTrial } from '@/service/trial/change-trial';
import { findTrial } from '@/service/trial/trials';

/** What can be printed of a trial. */
export interface PrintRequest {
  readonly sheet: 'labels' | 'plan' | 'clipboard' | 'protocol';
  readonly paper: Paper;
  readonly format: LabelFormat;
  /** Whether treatments stand on it. Of a blind trial that is a look at the key, and logged. */
  readonly isOpen: boolean;
  /** Whether the key may be looked at for it. */
  readonly mayLook: boolean;
  /** Where the application is reached: the square codes lead there. */
  readonly origin: string;
}

/** A trial's sheet as a PDF. */
export async function printSheet(
  trialId: string,
  request: PrintRequest,
): Promise<Result<Uint8Array, TrialTrouble>> {
  const data = await findTrial(trialId);
  if (!data) return failure({ kind: 'no-such-trial' });
  if (!data.layout) return failure({ kind: 'not-dealt' });
  if (request.isOpen && !isKeyOpen(data.trial)) {
    if (!request.mayLook) return failure({ kind: 'key-shut' });
    const looked = await changeOneTrial(trialId, async () => ({
      what: 'key printed',
      result: success(true),
    }));
    if (!looked.ok) return looked;
  }
  return success(
    await writePdf(data.trial.question, widthOf => {
      switch (request.sheet) {
        case 'labels':
          return labelSheets(
            labelsOf(data, request),
            request.paper,
            request.format,
            qrModules,
            widthOf,
          );
        case 'plan':
          return [benchSheet(data, request.isOpen, request.paper, widthOf)];
        case 'clipboard':
          return clipboardSheets(data, request.paper, widthOf);
        case 'protocol':
          return protocolSheets(data, request.paper, widthOf);
      }
    }),
  );
}

function labelsOf(
  { trial, units, blocks, treatments, layout }: TrialData,
  { isOpen, origin }: PrintRequest,
): readonly LabelWords[] {
  return units.map(unit => {
    const treatment = treatments.find(each => each.id === unit.treatmentId);
    const block = blocks.find(each => each.id === unit.blockId);
    return {
      code: unit.code,
      crop: trial.crop,
      trial: trial.question,
      place: [block && `${layout?.blockWord ?? 'block'} ${block.name}`, unit.wholePlot]
        .filter(Boolean)
        .join(', '),
      treatment: isOpen && treatment ? { letter: treatment.letter, name: treatment.name } : null,
      link: `${origin}/trials/${trial.id}/weigh?pot=${unit.code}`,
    };
  });
}
