/** The papers that ship with the app, apart by their headings, so that they are found by words like anything else. */
import { type Token, type Tokens, marked } from 'marked';

export const DOCS = [
  { name: 'features', title: 'What Torvin does' },
  { name: 'schedules', title: 'What each body gets' },
  { name: 'model', title: 'What is calculated, from what, and what it cannot show' },
  { name: 'formats', title: 'Open files' },
  { name: 'glossary', title: 'Glossary' },
] as const;
/** Made of what is installed, and not searched. */
export const LICENCES = 'licences';
export type DocName = (typeof DOCS)[number]['name'] | typeof LICENCES;

export const isDoc = (name: string): name is DocName => name === LICENCES || DOCS.some((doc) => doc.name === name);

export interface Section {
  doc: DocName;
  /** As it is shown: without marks, and without names of code behind a colon. */
  heading: string;
  /** All words under it, to find it by. */
  text: string;
}

export const headingOf = (text: string): string => text.replace(/[`*]/g, '').replace(/:\s.*$/, '');

/** A paper apart by its headings, the first of which is its title. */
export function sectionsOf(doc: DocName, source: string): Section[] {
  const sections: Section[] = [];
  for (const token of marked.lexer(source)) {
    if (token.type === 'heading') sections.push({ doc, heading: headingOf((token as Tokens.Heading).text), text: (token as Tokens.Heading).text });
    else if (sections.length > 0) sections[sections.length - 1].text += ` ${token.raw}`;
  }
  return sections;
}

export const tokensOf = (source: string): Token[] => marked.lexer(source);

/** What the glossary says of a word; null where it has none. */
export function meaningOf(word: string, glossary: string): string | null {
  const row = glossary.split('\n').find((line) => line.startsWith(`| **${word}** |`));
  return (
    row
      ?.split('|')[2]
      ?.replace(/\s*\([^()]*`[^()]*\)/g, '')
      .trim() ?? null
  );
}
