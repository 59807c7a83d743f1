/** All that the first day asks and says, in one place. */
export const START = {
  title: 'Welcome',
  about: 'Six short questions. Each can wait, and everything can be changed later on Shelves and in Settings.',
  at: (number: number, all: number): string => `Question ${number} of ${all}`,
  notSure: 'Not sure',
  next: 'Next',
  back: 'Back',
  later: 'Leave it for now',
  units: {
    question: 'Which units do you work in?',
    metric: { title: '°C, mm, grams' },
    inches: { title: '°F, inches, ounces' },
    notSure: (as: string): string => `we begin with ${as}, as this device does`,
  },
  kiln: {
    question: 'What is your kiln like?',
    elements: 'Its elements are',
    top: { title: 'On top' },
    sides: { title: 'At the sides', note: 'counted as slower to even out' },
    both: { title: 'Both' },
    notSure: { title: 'Not sure' },
    sizes: 'Left empty, it is a usual small kiln and its room is not judged.',
  },
  controller: {
    question: 'What does its controller show?',
    shows: 'It shows',
    notSure: { title: 'Not sure', note: 'as chosen for the studio' },
    left: 'Left empty, it holds 8 segments.',
  },
  glass: {
    question: 'Which glass do you mostly use?',
    about: 'By its expansion, which stands on the label or the maker’s sheet. Never fire two kinds together untested.',
    notSure: 'we begin with the first; test what you have before you mix it',
  },
  schedule: {
    question: 'Have you a schedule that already works?',
    about: 'Type or paste it: one row each, rate, target and hold. It is offered for your first firing and judged there.',
    label: 'Your schedule',
    hint: 'such as 150 677 30',
    keep: 'Keep it',
    none: { title: 'None yet' },
  },
  shelf: {
    question: 'Is your kiln shelf primed and dry?',
    yes: { title: 'Yes' },
    no: { title: 'No' },
    caution:
      'Glass sticks to a bare shelf, and a damp shelf cracks it with steam. Brush on primer in thin coats and dry it before glass lies on it. Wear a respirator for its dust.',
    understood: 'Understood',
  },
  first: {
    title: 'Your first piece',
    about: (family: string): string => `A small tile is quick to make and shows what your kiln does: two sheets of ${family}.`,
    make: (side: string): string => `Lay up a tile, ${side} square`,
    own: 'Begin with a piece of my own',
    name: 'First tile',
  },
} as const;
