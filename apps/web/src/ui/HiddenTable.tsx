/** The figures of a drawing as a table, for those who do not see it. A real table, so that a screen reader can walk in it. */
import { createElement as h, memo } from 'react';
import { fonts } from '@/theme/theme';
import { Hidden } from './Hidden';

export interface HiddenTableProps {
  caption: string;
  heads: readonly string[];
  /** The first cell names its row. */
  rows: readonly (readonly string[])[];
  testID: string;
}

/** In a face that ships, no wider than what hides it whatever the words are: on another machine nothing else would hold. */
const TABLE = { fontFamily: fonts.words, fontSize: 12, tableLayout: 'fixed', width: '100%', borderCollapse: 'collapse', overflow: 'hidden' } as const;
const CELL = { overflow: 'hidden', whiteSpace: 'nowrap', padding: 0 } as const;
const CAPTION = { ...CELL, maxWidth: '1px' } as const;

export const HiddenTable = memo(function HiddenTable({ caption, heads, rows, testID }: HiddenTableProps) {
  return (
    <Hidden>
      {h(
        'table',
        { 'data-testid': testID, style: TABLE },
        h('caption', { style: CAPTION }, caption),
        h('thead', null, h('tr', null, ...heads.map((head) => h('th', { key: head, scope: 'col', style: CELL }, head)))),
        h(
          'tbody',
          null,
          ...rows.map(([name, ...cells], i) =>
            h('tr', { key: i }, h('th', { scope: 'row', style: CELL }, name), ...cells.map((cell, j) => h('td', { key: j, style: CELL }, cell))),
          ),
        ),
      )}
    </Hidden>
  );
});
