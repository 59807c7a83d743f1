/** 'one layer', '3 layers'. */
export const countWords = (count: number, one: string, many: string): string => (count === 1 ? `one ${one}` : `${count} ${many}`);
