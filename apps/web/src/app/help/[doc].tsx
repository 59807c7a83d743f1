import { useLocalSearchParams } from 'expo-router';
import { DocScreen } from '@/workbench';

export default function PaperPage() {
  const { doc, at } = useLocalSearchParams<{ doc: string; at?: string }>();
  return <DocScreen key={doc} name={doc} at={at} />;
}
