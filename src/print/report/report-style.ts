import type { ReportParts } from './report';

/** How the report looks: on a screen of any width, and on A4. Its fonts are in it. */
export function reportStyle({ text, heading }: ReportParts['fonts']): string {
  const font = (name: string, data: string): string =>
    `@font-face{font-family:"${name}";font-weight:200 800;src:url(data:font/woff2;base64,${data}) format("woff2")}`;
  return `${font('Report text', text)}${font('Report heading', heading)}${LAYOUT}${DRAWINGS}${PAPER}`;
}

const LAYOUT = `
:root{color-scheme:light;--ink:#17211c;--soft:#4c5a53;--rule:#c5cfc9;--clay:#a6471f;--beet:#7b2450;--ground:#edf1ee}
*{box-sizing:border-box}body{font:16px/1.5 "Report text",system-ui,sans-serif;color:var(--ink);background:#fff;margin:0}
.page{max-width:1040px;margin:0 auto;padding:32px 32px 48px}
h1,h2,.verdict{font-family:"Report heading",system-ui,sans-serif;font-weight:650;line-height:1.2;text-wrap:balance}
h2{font-size:1.25rem;margin:0 0 8px}h3{font-size:1rem;margin:16px 0 4px}
header{display:flex;flex-wrap:wrap;justify-content:space-between;gap:4px 32px;border-bottom:3px solid var(--clay);padding-bottom:10px}
header h1{font-size:1.0625rem;margin:0;max-width:40em}header p{margin:0;color:var(--soft);font-size:.9375rem}
.verdict{font-size:clamp(1.75rem,5vw,2.5rem);line-height:1.08;margin:28px 0 12px;max-width:24em}
.detail{max-width:44em;margin:0 0 28px;font-size:1.0625rem}
.two{display:grid;grid-template-columns:minmax(0,7fr) minmax(0,4fr);gap:24px 48px;align-items:start;margin-bottom:32px}.two.even{grid-template-columns:1fr 1fr}
section{margin-bottom:28px}figure{margin:0}figcaption,footer,dt{color:var(--soft);font-size:.875rem}
dl{margin:0;border-top:1px solid var(--rule)}dl div{padding:8px 0;border-bottom:1px solid var(--rule)}dd{margin:0}
svg{display:block;width:100%;height:auto;margin-bottom:8px}
.wide{overflow-x:auto;margin-bottom:28px}table{border-collapse:collapse;width:100%;font-variant-numeric:tabular-nums;font-size:.9375rem}
caption{text-align:left;font:650 1.25rem/1.2 "Report heading",system-ui,sans-serif;padding-bottom:6px}
th,td{text-align:left;padding:6px 16px 6px 0;border-bottom:1px solid var(--rule);vertical-align:top}thead th{color:var(--soft);font-weight:400;font-size:.875rem}tbody th{font-weight:600}
.care,.corrected{border-left:3px solid var(--beet);padding-left:16px}ul{padding-left:1.1em;margin:0}li{margin-bottom:4px}
a{color:inherit;text-underline-offset:3px}article{border-top:1px solid var(--rule)}article>h1{font-size:1.5rem}
.columns{columns:2 340px;column-gap:48px}.columns>div{break-inside:avoid-column;margin-bottom:16px}.columns h3{margin-top:0}
@media(max-width:720px){.page{padding:16px 16px 32px}.two,.two.even{grid-template-columns:minmax(0,1fr)}}`;

const DRAWINGS = `
svg text{fill:var(--ink)}svg .name{font-size:14px;font-weight:600}svg .tick{fill:var(--soft);font-size:13px}
svg .rule{stroke:var(--rule)}svg .middle{stroke:var(--ink)}svg .band{fill:#8a6a00;opacity:.14}
svg circle{fill:#fff;stroke:var(--ink);stroke-width:1.5}svg .interval{stroke:var(--clay);stroke-width:2}svg .open{fill:none}svg .mean{stroke:var(--clay);stroke-width:4}
svg .stake{fill:var(--ink);stroke:var(--ink)}svg .stake.empty,svg .pot.empty{fill:#fff}svg .letter{font-size:10px;font-weight:700}svg .letter.on{fill:#fff}
svg .pot{fill:var(--ground);stroke:var(--ink)}
@media screen and (max-width:720px){svg .name{font-size:23px}svg .tick{font-size:20px}}`;

const PAPER = `
@page{size:A4;margin:14mm 15mm}
@media print{body{font-size:10pt}.page{padding:0;max-width:none}article{break-before:page;border:0}.two{grid-template-columns:minmax(0,7fr) minmax(0,4fr);gap:16px 28px;margin-bottom:18px}.two.even{grid-template-columns:1fr 1fr}
.verdict{font-size:23pt;margin:14px 0 8px}.detail{font-size:11pt;margin-bottom:16px}.wide{overflow:visible}table,figure,section{break-inside:avoid}article table{break-inside:auto}thead{display:table-header-group}table{font-size:9pt}th,td{padding-block:2px}a[download]{display:none}}`;
