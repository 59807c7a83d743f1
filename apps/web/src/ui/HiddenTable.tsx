/** The figures of a drawing as a table, for those who do not see it. A real table, so that a screen reader can walk in it. */
import { createElement as h, memo } from 'react';
import { Hidden } from './Hidden';

export interface HiddenTableProps {
  caption: string;
  heads: readonly string[];
  /** The first cell names its row. */
  rows: readonly (readonly string[])[];
  testID: string;
}

export const HiddenTable = memo(function HiddenTable({ caption, heads, rows, testID }: HiddenTableProps) {
  return (
    <Hidden>
      {h(
        'table',
        { 'data-testid': testID },
        h('caption', null, caption),
        h('thead', null, h('tr', null, ...heads.map((head) => h('th', { key: head, scope: 'col' }, head)))),
        h(
          'tbody',
          null,
          ...rows.map(([name, ...cells], i) => h('tr', { key: i }, h('th', { scope: 'row' }, name), ...cells.map((cell, j) => h('td', { key: j }, cell)))),
        ),
      )}
    </Hidden>
  );
});
