/** A file's name out of people's words: letters of every script stay; what some system cannot have in a name becomes a hyphen. */
const LONGEST = 80;
/** Devices on some systems, whatever ending comes after them. */
const RESERVED = /^(con|prn|aux|nul|conin\$|conout\$|com[0-9¹²³]|lpt[0-9¹²³])(?=\s*(\.|$))/iu;

/** 'Schale für Ines / 2' and 'csv' give 'Schale für Ines - 2.csv'. */
export function fileName(words: string, ending: string): string {
  const plain = [...words.normalize('NFC').replace(/[\p{C}\\/:*?"<>|]+/gu, '-')].slice(0, LONGEST).join('').trim();
  // A leading dot hides it, a closing one is lost on some systems.
  const told = plain.replace(/^[.\s]+|[.\s]+$/g, '');
  const free = told.replace(RESERVED, '$1-');
  return `${/[\p{L}\p{N}]/u.test(free) ? free : 'torvin'}.${ending}`;
}
