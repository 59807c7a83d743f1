/**
 * What a page of the app becomes on paper: what stands for it, whatever is on the screen and however wide that is. It is made
 * when the browser is about to print, by this app's button or its own.
 */
import { createElement, useEffect, useRef, useState } from 'react';
import { createPortal, flushSync } from 'react-dom';

const STYLE = `.on-paper { display: none }
@page { margin: 0 }
@media print {
  html, body { overflow: visible !important; background: white !important; height: auto !important }
  body > :not(.on-paper) { display: none !important }
  .on-paper { display: block !important; width: 100vw; height: 100vh; overflow: hidden }
  .on-paper svg { display: block; width: 100%; height: 100% }
  .on-paper.in-own-size { width: auto; height: auto; overflow: visible }
  .on-paper.in-pages { height: auto; overflow: visible }
  .in-pages .sheet { width: 100vw; height: 100vh; overflow: hidden; break-after: page; break-inside: avoid }
  .in-pages .sheet:last-child { break-after: auto }
  .in-own-size .sheet { padding: 10mm; break-after: page; break-inside: avoid }
  .in-own-size.whole .sheet { padding: 0 }
  .in-own-size .sheet:last-child { break-after: auto }
  .in-own-size svg { width: auto; height: auto }
}`;

export interface OnPaperProps {
  /** An SVG that fills the paper. Left out, as the sheets are: there is nothing yet that may be printed. */
  page?: () => string;
  /** Several such, one after the other. */
  pages?: () => readonly string[];
  /** SVGs in the size that they tell, one to a page, within a margin. */
  sheets?: () => readonly string[];
  /** Of the paper, where it is not the printer's: '60mm 30mm'. */
  size?: string;
  /** Sheets are as large as their paper. */
  whole?: boolean;
  /** A list beside which something is open gives way to that. */
  isList?: boolean;
}

/** Those that stand on the screen; of several the last that is no list is printed. */
const standing: { isList: boolean }[] = [];
const printed = (): { isList: boolean } | undefined => standing.findLast(({ isList }) => !isList) ?? standing.at(-1);

export function OnPaper({ page, pages, sheets, size, whole = false, isList = false }: OnPaperProps) {
  const [svgs, setSvgs] = useState<readonly string[] | null>(null);
  const now = useRef({ page, pages, sheets });
  now.current = { page, pages, sheets };
  useEffect(() => {
    const own = { isList };
    standing.push(own);
    const before = (): void => {
      const made = now.current;
      if (printed() === own) flushSync(() => setSvgs(made.sheets?.() ?? made.pages?.() ?? (made.page ? [made.page()] : null)));
    };
    const after = (): void => setSvgs(null);
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      standing.splice(standing.indexOf(own), 1);
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  }, [isList]);
  if (svgs === null) return null;
  return createPortal(
    createElement('div', { className: `on-paper${sheets ? ` in-own-size${whole ? ' whole' : ''}` : pages ? ' in-pages' : ''}`, 'data-testid': 'on-paper' }, [
      createElement('style', { key: 'style' }, size ? `${STYLE}\n@page { size: ${size}; margin: 0 }` : STYLE),
      ...svgs.map((svg, i) =>
        createElement('div', {
          key: i,
          className: 'sheet',
          style: sheets || pages ? {} : { width: '100%', height: '100%' },
          dangerouslySetInnerHTML: { __html: svg },
        }),
      ),
    ]),
    document.body,
  );
}
