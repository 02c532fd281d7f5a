import { benchPlaces } from '@/core/trial/bench-places';
import type { Measure } from '@/core/trial/model/measure';
import { isTaken } from '@/core/trial/model/scale';
import type { TrialData } from '@/core/trial/model/trial-data';
import { cornersOn } from '@/core/trial/place-corner';
import { pluralOf } from '@/core/words/plural';
import {
  box,
  fitting,
  linesOf,
  type Mark,
  PAPER_MM,
  type Paper,
  type PrintPage,
  text,
  type WidthOf,
} from './page';
import { protocolOf } from './protocol';

const EDGE_MM = 15;

/** Where a unit stands, in mm on the bench. */
interface Stood {
  readonly code: string;
  readonly tag: string;
  readonly shape: 'round' | 'square';
  readonly xMm: number;
  readonly yMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
}

function heading(title: string, under: string, paper: Paper, widthOf: WidthOf): readonly Mark[] {
  const room = PAPER_MM[paper].widthMm - 2 * EDGE_MM;
  return [
    text(EDGE_MM, EDGE_MM + 6, 6, fitting(title, 6, room, widthOf, true), { isBold: true }),
    text(EDGE_MM, EDGE_MM + 12, 3.6, fitting(under, 3.6, room, widthOf)),
  ];
}

/** The bench from above, to scale, on one sheet. */
export function benchSheet(
  data: TrialData,
  isOpen: boolean,
  paper: Paper,
  widthOf: WidthOf,
): PrintPage {
  const size = PAPER_MM[paper];
  const { ground: bench, shelves, guards } = benchPlaces(data.places);
  const cornerOf = cornersOn(data.places);
  const room = { width: size.widthMm - 2 * EDGE_MM, height: size.heightMm - 2 * EDGE_MM - 24 };
  const scale = bench ? Math.min(room.width / bench.widthMm, room.height / bench.depthMm) : 1;
  const drawn = (place: Outline): OnPaper => ({
    x: EDGE_MM + place.xMm * scale,
    y: EDGE_MM + 22 + place.yMm * scale,
    w: place.widthMm * scale,
    h: place.depthMm * scale,
  });
  const under = [
    `Bench plan, 1 : ${Math.round(1 / scale)}.`,
    isOpen ? 'Open: shows which got what.' : 'Blind: codes only.',
    ...(guards.length > 0 ? ['Thin outlines: guard plants.'] : []),
  ].join(' ');
  return {
    ...size,
    marks: [
      ...heading(data.trial.question, under, paper, widthOf),
      ...shelves.flatMap(shelf =>
        shelfMarks(
          drawn({ ...shelf, ...cornerOf(shelf) }),
          shelves.length > 1 ? shelf.name : '',
          widthOf,
        ),
      ),
      ...guards.map(guard => guardMark(drawn({ ...guard, ...cornerOf(guard) }), guard.shape)),
      ...stoodUnits(data, isOpen).flatMap(unit => unitMarks(drawn(unit), unit)),
    ],
  };
}

/** On the bench, in mm. */
type Outline = Pick<Stood, 'xMm' | 'yMm' | 'widthMm' | 'depthMm'>;

/** On the sheet, in mm. */
interface OnPaper {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

function shelfMarks({ x, y, w, h }: OnPaper, name: string, widthOf: WidthOf): readonly Mark[] {
  const frame = box(x, y, w, h, 'none', 0.3);
  if (name === '') return [frame];
  return [frame, text(x + 1, y + 3.2, 2.6, fitting(name, 2.6, w - 2, widthOf))];
}

function guardMark(at: OnPaper, shape: Stood['shape']): Mark {
  if (shape === 'round') return ring(at, at.w * 0.4, 0.1);
  return box(at.x, at.y, at.w, at.h, 'none', 0.1);
}

/** A unit with its code, and its treatment's letter where it is open. */
function unitMarks(at: OnPaper, { shape, code, tag }: Stood): readonly Mark[] {
  const { x, y, w, h } = at;
  const codeMm = Math.min(5, w * 0.3);
  const words = [code, ...(tag === '' ? [] : [tag])];
  return [
    shape === 'round' ? ring(at, w / 2, 0.3) : box(x, y, w, h, 'none', 0.3),
    ...words.map((word, i) => {
      const line = codeMm * (0.35 + i * 1.1 - (words.length - 1) * 0.5);
      const style = { isBold: i === 0, align: 'middle' } as const;
      return text(x + w / 2, y + h / 2 + line, codeMm, word, style);
    }),
  ];
}

function ring({ x, y, w, h }: OnPaper, radiusMm: number, lineMm: number): Mark {
  return { kind: 'ring', xMm: x + w / 2, yMm: y + h / 2, radiusMm, lineMm };
}

function stoodUnits(data: TrialData, isOpen: boolean): readonly Stood[] {
  const byId = new Map(data.places.map(place => [place.id, place]));
  const cornerOf = cornersOn(data.places);
  return data.units.flatMap((unit): Stood[] => {
    const own = byId.get(unit.placeId);
    if (!own) return [];
    const { xMm, yMm } = cornerOf(own);
    const letter =
      data.treatments.find(treatment => treatment.id === unit.treatmentId)?.letter ?? '';
    return [
      {
        code: unit.code,
        tag: isOpen ? letter : '',
        shape: own.shape,
        xMm,
        yMm,
        widthMm: own.widthMm,
        depthMm: own.depthMm,
      },
    ];
  });
}

const ROW_MM = 9;
const BLANKS = 4;

/** Of a question about what is read off the plants the sheet has that alone. */
function columnWords(main: Measure | undefined): string {
  return main && isTaken(main.scale)
    ? main.unit === ''
      ? 'read'
      : `read, ${main.unit}`
    : 'weight  ·  pieces  ·  culls';
}

/** Sheets for a clipboard: every unit in walking order, with blanks for weight, pieces and a word on several days. */
export function clipboardSheets(
  data: TrialData,
  paper: Paper,
  widthOf: WidthOf,
): readonly PrintPage[] {
  const size = PAPER_MM[paper];
  const perPage = Math.floor((size.heightMm - 2 * EDGE_MM - 34) / ROW_MM);
  const codeWidth = 34;
  const blank = (size.widthMm - 2 * EDGE_MM - codeWidth) / BLANKS;
  const top = EDGE_MM + 26;
  const main = data.measures.find(measure => measure.isMain);
  const blockOf = new Map(data.blocks.map(block => [block.id, block.name]));
  return Array.from({ length: Math.max(1, Math.ceil(data.units.length / perPage)) }, (_, page) => {
    const rows = data.units.slice(page * perPage, (page + 1) * perPage);
    return {
      ...size,
      marks: [
        ...heading(
          data.trial.question,
          `${main?.name ?? ''}. ${main && isTaken(main.scale) ? 'Read' : 'Weighed'} by: ______________________   sheet ${page + 1}`,
          paper,
          widthOf,
        ),
        ...Array.from({ length: BLANKS }, (_blank, b) =>
          text(EDGE_MM + codeWidth + b * blank + 1, top - 1.5, 2.8, 'day ______'),
        ),
        ...Array.from({ length: BLANKS }, (_blank, b) =>
          text(EDGE_MM + codeWidth + b * blank + 1, top + 3, 2.4, columnWords(main)),
        ),
        ...rows.flatMap((unit, i) => {
          const y = top + 5 + i * ROW_MM;
          const block =
            unit.blockId === null
              ? ''
              : `${data.layout?.blockWord ?? ''} ${blockOf.get(unit.blockId) ?? ''}`;
          return [
            text(EDGE_MM, y + 6, 4.6, unit.code, { isBold: true }),
            text(EDGE_MM + 15, y + 6, 2.6, fitting(block, 2.6, codeWidth - 16, widthOf)),
            ...Array.from({ length: BLANKS }, (_blank, b) =>
              box(EDGE_MM + codeWidth + b * blank, y, blank, ROW_MM),
            ),
          ];
        }),
        text(
          EDGE_MM,
          size.heightMm - EDGE_MM,
          2.8,
          `0 is a reading. Nothing there: 0. Not looked: –. Dead: X and the day. ${data.units.length} ${pluralOf(data.trial.unitWord)} in all.`,
        ),
      ],
    };
  });
}

/** The protocol as numbered steps that a helper can follow, as many pages as it takes. */
export function protocolSheets(
  data: TrialData,
  paper: Paper,
  widthOf: WidthOf,
): readonly PrintPage[] {
  const size = PAPER_MM[paper];
  const room = size.widthMm - 2 * EDGE_MM - 8;
  const pages: Mark[][] = [];
  let y = Number.POSITIVE_INFINITY;
  const put = (marks: (top: number) => readonly Mark[], heightMm: number): void => {
    if (y + heightMm > size.heightMm - EDGE_MM) {
      pages.push([
        ...heading(data.trial.question, `Protocol, page ${pages.length + 1}`, paper, widthOf),
      ]);
      y = EDGE_MM + 24;
    }
    pages.at(-1)?.push(...marks(y));
    y += heightMm;
  };
  for (const part of protocolOf(data)) {
    put(top => [text(EDGE_MM, top, 4.4, part.title, { isBold: true })], 8);
    part.steps.forEach((step, i) => {
      const lines = linesOf(step, 3.8, room, widthOf);
      put(
        top => [
          text(EDGE_MM, top, 3.8, `${i + 1}.`),
          ...lines.map((line, l) => text(EDGE_MM + 8, top + l * 5.2, 3.8, line)),
        ],
        lines.length * 5.2 + 1.8,
      );
    });
    y += 4;
  }
  return pages.map(marks => ({ ...size, marks }));
}
