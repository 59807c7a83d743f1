import { Redirect } from 'expo-router';
import { FIRST_PLACE } from '@/ui/places';

export default function Start() {
  return <Redirect href={FIRST_PLACE} />;
}
