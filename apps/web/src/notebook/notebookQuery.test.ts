import { searchOf } from '@/ui/useListAddress';
import { NOTEBOOK_ADDRESS } from './useNotebookQuery';

const { from: queryFrom, params: paramsOf } = NOTEBOOK_ADDRESS;

describe('the Notebook in the address', () => {
  test('comes back from it as it was', () => {
    const query = { text: 'tray, smallest', look: 'slump', result: 'right', row: 240, form: 'basin' } as const;
    expect(searchOf(NOTEBOOK_ADDRESS, query)).toBe('?q=tray%2C+smallest&row=240&look=slump&came=right&form=basin');
    expect(queryFrom(Object.fromEntries(new URLSearchParams(searchOf(NOTEBOOK_ADDRESS, query))))).toEqual(query);
  });

  test('is bare where nothing is searched', () => {
    expect(searchOf(NOTEBOOK_ADDRESS, { text: '  ', row: 0 })).toBe('');
    expect(queryFrom({})).toEqual({ text: '', look: undefined, result: undefined, row: 0 });
  });

  test.each([
    [{ look: 'melted' }, 'look'],
    [{ came: 'fine' }, 'result'],
  ] as const)('%j from elsewhere is not taken', (params, key) => {
    expect(queryFrom(params)[key]).toBeUndefined();
  });

  test.each(['-3', '1.5', 'NaN', ''])("a row '%s' is the first", (row) => expect(queryFrom({ row }).row).toBe(0));

  test('what is removed is named, so that it leaves the address', () => {
    expect(Object.keys(paramsOf({ text: '', row: 0 })).sort()).toEqual(['came', 'form', 'look', 'q', 'row']);
  });
});
