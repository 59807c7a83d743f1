/** All that a section says, in one place; figures come in as they are written. */

export const SECTION_DRAWING = {
  ofThem: (count: number): string => `${count} of them`,
  over: (cover: number): string => `over ${cover} %`,
  coating: (coated: string): string => `coating ${coated}`,
  aBareShelf: 'A bare shelf',
  sectionBottomTop: (layers: string): string => `Section, bottom to top: ${layers}; on a shelf`,
  layerShelf: 'layer from the shelf',
  noGlass: 'no glass',
  layUpBottom: 'Lay-up, bottom to top',
  drawnToScale: 'drawn to scale',
  depthDrawn: (exaggeration: number): string => `depth drawn ${exaggeration}×`,
  dashed: (dashed: string): string => ` · dashed: ${dashed}`,
  asItIs: 'as it is by now',
} as const;

export const LAYER_HANDLES = {
  depth: 'Depth',
  covers: 'Covers',
  percent: (value: number): string => `${value} percent`,
} as const;

export const SECTION_EDITOR = {
  afterFiring: 'after firing',
  layerOnTop: '+ Layer on top',
  arrowsChooseLayer: (section: string): string => `${section}. Arrows choose a layer, with shift they move it. T turns it over, Delete removes it.`,
} as const;
