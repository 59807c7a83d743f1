/** Reads the papers that ship with the app, when they are first wanted. */
import { useQuery } from '@tanstack/react-query';
import { type DocName, DOCS } from './papers';

async function readDoc(name: DocName): Promise<string> {
  const answer = await fetch(`/docs/${name}.md`);
  if (!answer.ok) throw new Error(`${name}: ${answer.status}`);
  return answer.text();
}

/** They change with the version of the app alone. */
const docReading = (name: DocName) => ({ queryKey: ['paper', name], queryFn: () => readDoc(name), staleTime: Infinity, gcTime: Infinity });
export const useDoc = (name: DocName) => useQuery(docReading(name));

const allDocs = { queryKey: ['papers'], queryFn: () => Promise.all(DOCS.map(({ name }) => readDoc(name))), staleTime: Infinity, gcTime: Infinity };
export const useAllDocs = (wanted: boolean) => useQuery({ ...allDocs, enabled: wanted });
