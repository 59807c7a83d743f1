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
  .in-own-size .sheet { padding: 10mm; break-after: page; break-inside: avoid }
  .in-own-size .sheet:last-child { break-after: auto }
  .in-own-size svg { width: auto; height: auto }
}`;

export interface OnPaperProps {
  /** An SVG that fills the paper. Left out, as the sheets are: there is nothing yet that may be printed. */
  page?: () => string;
  /** SVGs in the size that they tell, one to a page. */
  sheets?: () => readonly string[];
}

export function OnPaper({ page, sheets }: OnPaperProps) {
  const [svgs, setSvgs] = useState<readonly string[] | null>(null);
  const now = useRef({ page, sheets });
  now.current = { page, sheets };
  useEffect(() => {
    const before = (): void => flushSync(() => setSvgs(now.current.sheets?.() ?? (now.current.page ? [now.current.page()] : null)));
    const after = (): void => setSvgs(null);
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  }, []);
  if (svgs === null) return null;
  return createPortal(
    createElement('div', { className: sheets ? 'on-paper in-own-size' : 'on-paper', 'data-testid': 'on-paper' }, [
      createElement('style', { key: 'style' }, STYLE),
      ...svgs.map((svg, i) =>
        createElement('div', { key: i, className: 'sheet', style: sheets ? {} : { width: '100%', height: '100%' }, dangerouslySetInnerHTML: { __html: svg } }),
      ),
    ]),
    document.body,
  );
}
