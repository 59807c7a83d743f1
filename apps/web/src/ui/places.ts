/** The places of Torvin, in the order in which they stand: read by the bar, by the keys that go there and by what opens the first of them. */
export const PLACES = [
  { name: 'Bench', href: '/bench', key: 'b' },
  { name: 'Pieces', href: '/pieces', key: 'p' },
  { name: 'Kiln', href: '/kiln', key: 'k' },
  { name: 'Notebook', href: '/notebook', key: 'n' },
  { name: 'Shelves', href: '/shelves', key: 's' },
] as const;

/** Where Torvin opens. */
export const FIRST_PLACE = PLACES[0].href;
