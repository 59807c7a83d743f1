/** Tables for spreadsheets and programs. A mark at the front tells spreadsheets that letters are in UTF-8. */
import Papa from 'papaparse';

/** comma: 1.5,2.5. semicolon: 1,5;2,5, as spreadsheets expect it where the comma is the decimal sign. */
export const CSV_STYLES = ['comma', 'semicolon'] as const;
export type CsvStyle = (typeof CSV_STYLES)[number];

export type CsvRow = Record<string, string | number>;

const UTF8_MARK = '\uFEFF';

/** What stands in a cell is never taken for a formula. Columns: those of the first row, or the ones named. */
export function csvOf(rows: readonly CsvRow[], style: CsvStyle, columns = Object.keys(rows[0] ?? {})): string {
  const cell = (value: string | number = ''): string => (typeof value === 'number' && style === 'semicolon' ? String(value).replace('.', ',') : String(value));
  const data = rows.map((row) => columns.map((column) => (typeof row[column] === 'string' ? unarmed(row[column]) : cell(row[column]))));
  const lines = Papa.unparse([columns.map(unarmed), ...data], { delimiter: style === 'semicolon' ? ';' : ',' });
  return `${UTF8_MARK}${lines}\r\n`;
}

/**
 * A spreadsheet computes what begins so, also in the wide forms of East Asian letters and after blanks; somebody else's words are not
 * to be computed. What is nothing but a figure stays one.
 */
const COMPUTED = /^\s*[=+\-@\uFF1D\uFF0B\uFF0D\uFF20]|^[\t\r\n]/;
const FIGURE = /^-?\d+([.,]\d+)?$/;
const unarmed = (words: string): string => (COMPUTED.test(words) && !FIGURE.test(words) ? `'${words}` : words);

const SPLITS = ['\t', ';', '|'] as const;

/** The lines of a pasted text or a file, each in its cells; one that nothing splits is a cell by itself. A comma splits where there are several. */
export const cellsOf = (text: string): string[][] =>
  text
    .replace(UTF8_MARK, '')
    .split(/\r\n|\r|\n/)
    .filter((line) => line.trim() !== '')
    .map((line) => {
      const delimiter = SPLITS.find((one) => line.includes(one)) ?? ((line.match(/,/g) ?? []).length > 1 ? ',' : undefined);
      return delimiter === undefined ? [line] : (Papa.parse<string[]>(line, { delimiter }).data[0] ?? [line]);
    });
