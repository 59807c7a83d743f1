/** All that Help and About say of themselves, in one place. */

export const HELP = {
  title: 'Help',
  close: 'Close Help',
  figures: 'Where its figures come from',
  terms: 'Words',
  keys: 'Keys',
  letters: 'Single-letter shortcuts',
  more: (heading: string): string => `Read more: ${heading}`,
  settings: 'Settings',
  all: 'All papers, and About',
  findIn: 'Find anything',
  papersAbout: 'Papers that ship with Torvin and open without network.',
  unread: 'This paper could not be read: the server does not answer. Over https, papers are kept on each device.',
  noSuch: 'There is no such paper.',
} as const;

export const ABOUT = {
  title: 'About Torvin',
  version: (version: string): string => `Version ${version}`,
  licence: 'MIT licence. What it is built of, each under its own licence:',
  licences: 'Licences of what ships',
  data: (folder: string): string => `The studio’s data lies in ${folder} on the server’s computer, with its pictures and backups.`,
  report: 'Fault report',
  estimate: 'Every figure is an estimate from published laws and from what you entered. Local codes and licensed trades come first for wiring and ventilation.',
} as const;
