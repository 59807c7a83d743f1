/** @jest-environment jsdom */
import { footprintSpan } from '@torvin/core/body';
import type { DrawnLayer } from '@torvin/core/piece';
import { light } from '@/theme/theme';
import { sectionGeometry } from './geometry';
import { type MarksOf, pictureOf, sectionMarks, shapeMarks } from './marks';

const BOX = { width: 112, height: 64 };
const SMALL: MarksOf = { width: BOX.width, small: true, colours: light };
const sheet: DrawnLayer = { name: 'Clear', colour: '#cfe8df', thickness_m: 0.003 };
const span_m = footprintSpan({ shape: 'rectangle', width_m: 0.2, length_m: 0.14 });
const drawnOf = (layers: DrawnLayer[]) => sectionGeometry(span_m, layers, BOX);
const marksOf = (layers: DrawnLayer[]) => sectionMarks(drawnOf(layers), layers, SMALL);

/** As a browser reads the picture. */
function read(address: string): Element {
  const [head, svg] = address.split(/,(.*)/s);
  expect(head).toBe('data:image/svg+xml');
  return new DOMParser().parseFromString(decodeURIComponent(svg), 'image/svg+xml').documentElement;
}

test('the picture holds every mark, in order, with its own figures', () => {
  const layers = [sheet, { ...sheet, colour: '#c8627f' }];
  const marks = marksOf(layers);
  const svg = read(pictureOf(marks, BOX));
  expect([...svg.children].map(({ tagName }) => tagName)).toEqual(marks.map(({ of }) => of));
  const fills = [...svg.children].map((one) => one.getAttribute('fill'));
  expect(fills.slice(0, 3)).toEqual([light.shelf, '#cfe8df', '#c8627f']);
  // Both sheets lie on the shelf, one on the other.
  const [shelf, lower, upper] = [...svg.children].map((one) => ({ y: Number(one.getAttribute('y')), height: Number(one.getAttribute('height')) }));
  expect(lower.y + lower.height).toBeCloseTo(shelf.y, 1);
  expect(upper.y + upper.height).toBeCloseTo(lower.y, 1);
  expect(svg.children[1].getAttribute('stroke-width')).toBe('0.75');
});

test('stripes of made glass fill their share of it, from left to right or on one another', () => {
  const stripes = [
    { colour: '#111111', share: 0.25 },
    { colour: '#222222', share: 0.75 },
  ];
  for (const stacked of [false, true] as const) {
    const layers = [{ ...sheet, stripes, ...(stacked ? { stacked } : {}) }];
    const [shape] = drawnOf(layers).shapes;
    const bands = shapeMarks(shape, layers, drawnOf(layers).shelfY, SMALL).filter((mark) => mark.of === 'rect' && /^#(111111|222222)$/.test(mark.fill ?? ''));
    const sides = bands.map((mark) => (mark.of === 'rect' ? (stacked ? mark.height / shape.height : mark.width / shape.width) : Number.NaN));
    expect(sides[0]).toBeCloseTo(0.25);
    expect(sides[1]).toBeCloseTo(0.75);
  }
});

test('signs of markup in a colour stay signs', () => {
  const svg = read(pictureOf(marksOf([{ ...sheet, colour: '"><script>' }]), BOX));
  expect(svg.querySelector('script')).toBeNull();
  expect(svg.children[1].getAttribute('fill')).toBe('"><script>');
});
