/**
 * What a page of the app becomes on paper: one sheet that stands for it, whatever is on the screen and however wide that is. It is made
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
}`;

/** page: an SVG. Left out: the page has nothing yet that may be printed. */
export function OnPaper({ page }: { page?: () => string }) {
  const [svg, setSvg] = useState<string | null>(null);
  const now = useRef(page);
  now.current = page;
  useEffect(() => {
    const before = (): void => flushSync(() => setSvg(now.current?.() ?? null));
    const after = (): void => setSvg(null);
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  }, []);
  if (svg === null) return null;
  return createPortal(
    createElement('div', { className: 'on-paper', 'data-testid': 'on-paper' }, [
      createElement('style', { key: 'style' }, STYLE),
      createElement('div', { key: 'page', style: { width: '100%', height: '100%' }, dangerouslySetInnerHTML: { __html: svg } }),
    ]),
    document.body,
  );
}
