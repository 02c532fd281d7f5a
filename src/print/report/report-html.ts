import { counted } from '@/core/words/plural';
import { letterOf, type Report, type ReportParts, type ReportTable } from './report';
import { dotsSvg, mapSvg } from './report-drawings';
import { reportStyle } from './report-style';
import { written } from './written';

/**
 * The report as one file that needs no other: a page that a neighbour understands, behind it all details, and in it the data they rest
 * on. Nothing in it runs, and nothing is fetched.
 */
export function reportHtml(report: Report, { fonts, data }: ReportParts): string {
  const { question, stateWords, headline, detail, corrections, limits, cautions, calls } = report;
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${written(question)}</title><style>${reportStyle(fonts)}</style></head><body>
<main><div class="page">
<header><h1>${written(question)}</h1><p>${written(stateWords)}</p></header>
${corrections.length > 0 ? `<section class="corrected"><h2>Corrected</h2>${list(corrections)}</section>` : ''}
<h2 class="verdict">${written(headline)}</h2><p class="detail">${written(detail)}</p>
<div class="two"><figure>${dotsSvg(report)}<figcaption>${written(dotWords(report))}</figcaption></figure>${facts(report)}</div>
${table(calls)}
<div class="two even"><figure><h2>Where they stood</h2>${mapSvg(report.map, letterOf(report.letters, report.control))}<figcaption>Seen from above, letter by letter; the control is white.</figcaption></figure>
${limits.length > 0 ? `<section><h2>Before you believe it</h2>${list(limits)}</section>` : ''}</div>
${cautions.length > 0 ? `<section class="care"><h2>Take care</h2>${list(cautions)}</section>` : ''}
</div>
<article class="page"><h1>All details</h1>
${report.tables.map(table).join('\n')}
<section><h2>How it was done</h2><div class="columns">${report.protocol.map(part => `<div><h3>${written(part.title)}</h3>${list(part.steps)}</div>`).join('')}</div></section>
<footer><p><a download="${written(data.name)}" href="data:application/json;base64,${Buffer.from(data.json).toString('base64')}">Save the data this page rests on</a></p><p>${written(report.made)}</p></footer>
</article></main></body></html>
`;
}

function dotWords({ dots, band, measure, unitWord }: Report): string {
  const units = dots.reduce((sum, row) => sum + row.values.length, 0);
  return [
    `${measure}: each dot is one ${unitWord}, ${counted(units, unitWord)} in all`,
    ...(dots.some(row => row.mean !== null) ? ['the thick bar is the mean of its treatment'] : []),
    ...(dots.some(row => row.interval)
      ? [
          'the line is the range its gap leaves open (95%), with an arrow where it goes on beyond the picture',
        ]
      : []),
    ...(band ? ['in the band the gap would be too small to matter'] : []),
  ].join('; ');
}

function facts({ facts: all }: Report): string {
  return `<dl>${all.map(([term, is]) => `<div><dt>${written(term)}</dt><dd>${written(is)}</dd></div>`).join('')}</dl>`;
}

function list(lines: readonly string[]): string {
  return `<ul>${lines.map(line => `<li>${written(line)}</li>`).join('')}</ul>`;
}

function table({ title, heads, rows }: ReportTable): string {
  if (rows.length === 0) return '';
  return `<div class="wide" role="region" tabindex="0" aria-label="${written(title)}"><table><caption>${written(title)}</caption><thead><tr>${heads.map(head => `<th scope="col">${written(head)}</th>`).join('')}</tr></thead><tbody>${rows.map(row => `<tr>${row.map((cell, i) => (i === 0 ? `<th scope="row">${written(cell)}</th>` : `<td>${written(cell)}</td>`)).join('')}</tr>`).join('')}</tbody></table></div>`;
}
