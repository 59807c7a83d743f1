/** All that a controller’s face says, in one place; figures come in as they are written. */

export const PANEL_VIEW = {
  program: 'Program',
  lookThrough: 'Look through',
  clear: 'Clear',
  back: 'Back',
  controller: 'Controller',
  segment: (segment: number): string => `segment ${segment}`,
  leftOlderProgram: 'left by an older program',
  markBetweenHours: 'Mark between hours and minutes',
  clearWhatTyped: 'Clear what is typed',
} as const;

export const PANEL_TRIAL = {
  noProgramStands: 'No program stands in it yet. Press Program, a number, Enter; then a figure and Enter for each that it asks.',
  programHolds: (slot: string, rows: number): string => `Program ${slot} holds ${rows} ${rows === 1 ? 'segment' : 'segments'}.`,
} as const;
