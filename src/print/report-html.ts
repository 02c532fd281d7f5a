import { counted } from '@/core/words/plural';

/** A table as the report prints it. */
export interface ReportTable {
  readonly title: string;
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** All that a report says, in words and figures that are printed already. */
export interface Report {
  readonly question: string;
  readonly stateWords: string;
  readonly headline: string;
  readonly detail: string;
  readonly unitWord: string;
  /** Every unit that was read, by treatment, the control first; `mean` where the measure has one. */
  readonly dots: readonly {
    readonly treatment: string;
    readonly values: readonly number[];
    readonly mean: number | null;
  }[];
  readonly printValue: (value: number) => string;
  /** Every treatment against the control. */
  readonly calls: ReportTable;
  readonly measure: string;
  readonly letters: Readonly<Record<string, string>>;
  /** Codes in their places, in mm from the far left corner. */
  readonly map: {
    readonly widthMm: number;
    readonly depthMm: number;
    readonly units: readonly {
      readonly code: string;
      readonly letter: string;
      readonly x: number;
      readonly y: number;
      readonly w: number;
      readonly h: number;
    }[];
  };
  /** What a neighbour is to know before believing it. */
  readonly limits: readonly string[];
  readonly cautions: readonly string[];
  readonly corrections: readonly string[];
  readonly tables: readonly ReportTable[];
  readonly protocol: readonly { readonly title: string; readonly steps: readonly string[] }[];
  readonly made: string;
}

/** The report as one file that needs no other: a page that a neighbour understands, and behind it all details. Nothing in it runs. */
export function reportHtml(report: Report): string {
  const {
    question,
    stateWords,
    headline,
    detail,
    limits,
    cautions,
    corrections,
    tables,
    protocol,
    made,
    calls,
  } = report;
  const units = report.dots.reduce((sum, row) => sum + row.values.length, 0);
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${text(question)}</title><style>${STYLE}</style></head><body>
<main>
<header><p>${text(stateWords)}</p><h1>${text(question)}</h1></header>
${corrections.length > 0 ? `<section class="corrected"><h2>Corrected</h2>${list(corrections)}</section>` : ''}
<section><h2 class="verdict">${text(headline)}</h2><p>${text(detail)}</p></section>
<section class="two"><figure>${dots(report)}<figcaption>${text(`${report.measure}: each dot is one ${report.unitWord}${report.dots.some(row => row.mean !== null) ? ', the bar the mean of its treatment' : ''}. ${counted(units, report.unitWord)} in all.`)}</figcaption></figure>
<figure>${map(report)}<figcaption>Where they stood, seen from above.</figcaption></figure></section>
${table(calls)}
${limits.length > 0 ? `<section><h2>Before you believe it</h2>${list(limits)}</section>` : ''}
${cautions.length > 0 ? `<section class="care"><h2>Take care</h2>${list(cautions)}</section>` : ''}
</main>
<article><h1>All details</h1>
${tables.map(table).join('\n')}
<section><h2>How it was done</h2>${protocol.map(part => `<h3>${text(part.title)}</h3>${list(part.steps)}`).join('')}</section>
<footer><p>${text(made)}</p></footer>
</article></body></html>
`;
}

const STYLE = `
:root{color-scheme:light}body{font:16px/1.5 system-ui,sans-serif;color:#17211c;background:#fff;margin:0}main,article{max-width:900px;margin:0 auto;padding:24px}
h1{font-size:1.25rem;margin:.2em 0}h2{font-size:1.1rem;margin:1.4em 0 .3em}h3{font-size:1rem;margin:1em 0 .2em}.verdict{font-size:1.9rem;line-height:1.15;margin:.4em 0}
header p,figcaption,footer{color:#4c5a53;font-size:.9rem}.two{display:grid;grid-template-columns:3fr 2fr;gap:24px;align-items:start}figure{margin:0}svg{width:100%;height:auto}
table{border-collapse:collapse;width:100%;font-variant-numeric:tabular-nums;font-size:.92rem}caption{text-align:left;font-weight:700;padding:1.2em 0 .3em}th,td{text-align:left;padding:.25em .8em .25em 0;border-bottom:1px solid #c5cfc9;vertical-align:top}
.care,.corrected{border-left:3px solid #7b2450;padding-left:12px}ul{padding-left:1.2em;margin:.3em 0}
@media(max-width:640px){.two{grid-template-columns:1fr}}@media print{article{break-before:page}main,article{padding:0;max-width:none}}`;

/** Nothing that a gardener wrote may be taken for markup. */
function text(written: string): string {
  return written.replace(/[&<>"']/g, sign => `&#${sign.charCodeAt(0)};`);
}

function list(lines: readonly string[]): string {
  return `<ul>${lines.map(line => `<li>${text(line)}</li>`).join('')}</ul>`;
}

function table({ title, heads, rows }: ReportTable): string {
  if (rows.length === 0) return '';
  return `<table><caption>${text(title)}</caption><thead><tr>${heads.map(head => `<th scope="col">${text(head)}</th>`).join('')}</tr></thead><tbody>${rows.map(row => `<tr>${row.map((cell, i) => (i === 0 ? `<th scope="row">${text(cell)}</th>` : `<td>${text(cell)}</td>`)).join('')}</tr>`).join('')}</tbody></table>`;
}

/** Every unit as a dot, row by row; black and white, told apart by their places. */
function dots({ dots: groups, printValue, letters }: Report): string {
  const values = groups.flatMap(group => group.values);
  const [low, high] = [Math.min(0, ...values), Math.max(1e-9, ...values)];
  const [width, rowHeight, left] = [520, 46, 34];
  const x = (value: number): number => left + ((width - left - 16) * (value - low)) / (high - low);
  const height = rowHeight * groups.length + 30;
  const rows = groups.map(({ treatment, values: own, mean }, row) => {
    const y = rowHeight * row + 34;
    return `<text x="0" y="${y - 18}" font-size="13">${text(`${letters[treatment] ?? ''} ${treatment}`)}</text><line x1="${left}" x2="${width - 16}" y1="${y}" y2="${y}" stroke="#c5cfc9"/>${own.map((value, i) => `<circle cx="${x(value).toFixed(1)}" cy="${y + ((i % 3) - 1) * 5}" r="4.5" fill="none" stroke="#17211c" stroke-width="1.5"/>`).join('')}${mean === null ? '' : `<line x1="${x(mean).toFixed(1)}" x2="${x(mean).toFixed(1)}" y1="${y - 13}" y2="${y + 13}" stroke="#a6471f" stroke-width="3"/>`}`;
  });
  return `<svg viewBox="0 0 ${width} ${height}" role="img" aria-label="Every unit as a dot">${rows.join('')}<text x="${left}" y="${height - 4}" font-size="12">${text(printValue(low))}</text><text x="${width - 16}" y="${height - 4}" font-size="12" text-anchor="end">${text(printValue(high))}</text></svg>`;
}

function map({ map: { widthMm, depthMm, units } }: Report): string {
  const size = Math.max(1, Math.min(...units.map(unit => Math.min(unit.w, unit.h))));
  return `<svg viewBox="0 0 ${widthMm} ${depthMm}" role="img" aria-label="The bench from above">${units.map(unit => `<rect x="${unit.x}" y="${unit.y}" width="${unit.w}" height="${unit.h}" rx="${size / 8}" fill="none" stroke="#17211c" stroke-width="${size / 40}"/><text x="${unit.x + unit.w / 2}" y="${unit.y + unit.h / 2}" font-size="${size / 3}" text-anchor="middle" font-weight="700">${text(unit.letter)}</text><text x="${unit.x + unit.w / 2}" y="${unit.y + unit.h / 2 + size / 3.4}" font-size="${size / 5}" text-anchor="middle">${text(unit.code)}</text>`).join('')}</svg>`;
}
