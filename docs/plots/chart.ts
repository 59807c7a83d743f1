/** A plain line chart as SVG: axes with round ticks, curves with their names at their ends, marks where something is known. */
export interface Curve {
  name: string;
  points: readonly (readonly [x: number, y: number])[];
  dashed?: boolean;
}

export interface Mark {
  name?: string;
  /** A point, or a box from one corner to the other. */
  at: readonly [x: number, y: number];
  to?: readonly [x: number, y: number];
}

export interface Chart {
  title: string;
  x: { name: string; from: number; to: number; log?: boolean };
  y: { name: string; from: number; to: number; log?: boolean };
  curves: readonly Curve[];
  marks?: readonly Mark[];
}

const WIDTH = 720;
const HEIGHT = 420;
const EDGE = { left: 72, right: 150, top: 40, bottom: 52 };
const INKS = ['#1f4e5f', '#a4452c', '#4d6b2f', '#6b4a86', '#8a6a1c', '#3b3b3b', '#b03a68'];
const FONT = 'font-family="Atkinson Hyperlegible Next, Verdana, sans-serif"';

const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;');

/** Steps of 1, 2 or 5 that make about six ticks; powers of ten on a logarithmic axis. */
function ticks({ from, to, log = false }: Chart['x']): number[] {
  if (log) {
    const first = Math.ceil(Math.log10(from) - 1e-9);
    const last = Math.floor(Math.log10(to) + 1e-9);
    return Array.from({ length: last - first + 1 }, (_, i) => 10 ** (first + i));
  }
  const rough = (to - from) / 6;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = power * ([1, 2, 5, 10].find((factor) => factor * power >= rough) ?? 10);
  const list: number[] = [];
  for (let value = Math.ceil(from / step - 1e-9) * step; value <= to + step * 1e-9; value += step) list.push(value);
  return list;
}

const label = (value: number): string => {
  const size = Math.abs(value);
  return size !== 0 && (size < 1e-3 || size >= 1e5) ? value.toExponential(0).replace('e', '·10^') : String(Number(value.toPrecision(6)));
};

export function drawn({ title, x, y, curves, marks = [] }: Chart): string {
  const place = (axis: Chart['x'], value: number): number =>
    axis.log ? Math.log(value / axis.from) / Math.log(axis.to / axis.from) : (value - axis.from) / (axis.to - axis.from);
  const px = (value: number): number => EDGE.left + place(x, value) * (WIDTH - EDGE.left - EDGE.right);
  const py = (value: number): number => HEIGHT - EDGE.bottom - place(y, value) * (HEIGHT - EDGE.top - EDGE.bottom);
  const out: string[] = [];
  const say = (text: string, at: [number, number], more = ''): void => {
    out.push(`<text x="${at[0].toFixed(1)}" y="${at[1].toFixed(1)}" font-size="12" ${FONT} fill="#222" ${more}>${escaped(text)}</text>`);
  };
  const line = (a: [number, number], b: [number, number], ink: string): void => {
    out.push(`<line x1="${a[0].toFixed(1)}" y1="${a[1].toFixed(1)}" x2="${b[0].toFixed(1)}" y2="${b[1].toFixed(1)}" stroke="${ink}" stroke-width="1"/>`);
  };
  for (const value of ticks(x)) {
    line([px(value), py(y.from)], [px(value), py(y.to)], '#e4e4e0');
    say(label(value), [px(value), HEIGHT - EDGE.bottom + 18], 'text-anchor="middle"');
  }
  for (const value of ticks(y)) {
    line([px(x.from), py(value)], [px(x.to), py(value)], '#e4e4e0');
    say(label(value), [EDGE.left - 8, py(value) + 4], 'text-anchor="end"');
  }
  line([px(x.from), py(y.from)], [px(x.to), py(y.from)], '#222');
  line([px(x.from), py(y.from)], [px(x.from), py(y.to)], '#222');
  say(title, [EDGE.left, 22], 'font-weight="bold"');
  say(x.name, [px(x.to), HEIGHT - 12], 'text-anchor="end"');
  out.push(`<text transform="translate(16 ${HEIGHT / 2}) rotate(-90)" text-anchor="middle" font-size="12" ${FONT} fill="#222">${escaped(y.name)}</text>`);
  for (const { at, to, name } of marks) {
    if (to) {
      const [left, right] = [px(at[0]), px(to[0])];
      const [top, bottom] = [py(to[1]), py(at[1])];
      out.push(
        `<rect x="${left.toFixed(1)}" y="${top.toFixed(1)}" width="${(right - left).toFixed(1)}" height="${(bottom - top).toFixed(1)}" fill="#1f4e5f" fill-opacity="0.12" stroke="#1f4e5f" stroke-dasharray="3 3"/>`,
      );
      if (name) say(name, [left + 4, top - 5]);
    } else {
      out.push(`<circle cx="${px(at[0]).toFixed(1)}" cy="${py(at[1]).toFixed(1)}" r="4" fill="#fff" stroke="#222" stroke-width="1.5"/>`);
      if (name) say(name, [px(at[0]) + 8, py(at[1]) - 6]);
    }
  }
  const named: { x: number; y: number }[] = [];
  curves.forEach((curve, i) => {
    const ink = INKS[i % INKS.length];
    const inside = curve.points.filter(([a, b]) => a >= x.from && a <= x.to && b >= y.from && b <= y.to);
    const path = inside.map(([a, b], k) => `${k === 0 ? 'M' : 'L'}${px(a).toFixed(1)} ${py(b).toFixed(1)}`).join('');
    out.push(`<path d="${path}" fill="none" stroke="${ink}" stroke-width="2"${curve.dashed ? ' stroke-dasharray="6 4"' : ''}/>`);
    const end = inside.at(-1);
    if (!end) throw new Error(`Nothing of '${curve.name}' lies within the chart '${title}'.`);
    // Each name at its curve's end, clear of those before it.
    const at = { x: px(end[0]) + 6, y: py(end[1]) + 4 };
    while (named.some((other) => Math.abs(other.x - at.x) < 110 && Math.abs(other.y - at.y) < 13)) at.y += 1;
    named.push(at);
    out.push(`<text x="${at.x.toFixed(1)}" y="${at.y.toFixed(1)}" font-size="12" ${FONT} fill="${ink}">${escaped(curve.name)}</text>`);
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${HEIGHT}" width="${WIDTH}" height="${HEIGHT}" role="img" aria-label="${escaped(title)}"><rect width="100%" height="100%" fill="#fff"/>\n${out.join('\n')}\n</svg>\n`;
}
