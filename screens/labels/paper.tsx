import type { CSSProperties } from 'react';
import type { LabelSheet } from '../../core/logbook';

const FRAME: CSSProperties = { width: '100%', background: '#fff', borderRadius: 8, overflow: 'hidden' };

/** A page as it will be printed, as wide as there is room. It is made by the app alone, from escaped words. */
export function Preview({
  svg,
  sheet,
  label,
}: {
  readonly svg: string;
  readonly sheet: LabelSheet;
  readonly label: string;
}) {
  const { pageWide, pageHigh } = sheet;
  const drawn = svg.replace(/width="[\d.]+mm" height="[\d.]+mm"/, 'width="100%"');
  return (
    <div
      role="img"
      aria-label={label}
      style={{ ...FRAME, aspectRatio: `${pageWide} / ${pageHigh}` }}
      dangerouslySetInnerHTML={{ __html: drawn }}
    />
  );
}

/** Prints pages to scale: on paper there is nothing but them. */
export function printPages({ pageWide, pageHigh }: LabelSheet, pages: readonly string[]): void {
  const rules = new CSSStyleSheet();
  rules.replaceSync(`
    #label-pages { display: none; }
    @media print {
      @page { size: ${pageWide}mm ${pageHigh}mm; margin: 0; }
      body > *:not(#label-pages) { display: none !important; }
      #label-pages { display: block !important; }
      #label-pages svg { display: block; break-after: page; }
    }`);
  const paper = document.createElement('div');
  paper.id = 'label-pages';
  paper.innerHTML = pages.join('');
  document.body.appendChild(paper);
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, rules];
  const away = () => {
    paper.remove();
    document.adoptedStyleSheets = document.adoptedStyleSheets.filter((one) => one !== rules);
    window.removeEventListener('afterprint', away);
  };
  window.addEventListener('afterprint', away);
  window.print();
}
