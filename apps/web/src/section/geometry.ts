/** Where the section drawing puts its layers: pure arithmetic from metres to pixels. */
export interface Box {
  width: number;
  height: number;
}

export interface SectionGeometry {
  /** How many times deeper than true the depth is drawn. */
  exaggeration: number;
  /** Index 0 at the bottom; y grows downwards. */
  layers: { x: number; y: number; width: number; height: number }[];
  /** y of the shelf's surface. */
  shelfY: number;
}

/** Steps that a reader can carry in the head. */
const EXAGGERATIONS = [1, 2, 3, 4, 5, 6, 8, 10, 15, 20, 30];
const WIDTH_SHARE = 0.86;
const DEPTH_SHARE = 0.62;
const SHELF_SHARE = 0.16;

export function sectionGeometry(span_m: number, thicknesses_m: readonly number[], box: Box): SectionGeometry {
  const depth_m = thicknesses_m.reduce((sum, one) => sum + one, 0);
  const room = box.height * DEPTH_SHARE;
  const scale = Math.min((box.width * WIDTH_SHARE) / span_m, depth_m > 0 ? room / depth_m : Infinity);
  const exaggeration = EXAGGERATIONS.filter((factor) => depth_m * scale * factor <= room + 1e-9).at(-1) ?? 1;
  const width = span_m * scale;
  const x = (box.width - width) / 2;
  const shelfY = box.height * (1 - SHELF_SHARE);
  let y = shelfY;
  const layers = thicknesses_m.map((thickness) => {
    const height = thickness * scale * exaggeration;
    y -= height;
    return { x, y, width, height };
  });
  return { exaggeration, layers, shelfY };
}
