/** In development alone: each element and drawing in its states, and a sheet for every calculator. Not in what is built for studios. */
import { Redirect } from 'expo-router';
import { Suspense, lazy } from 'react';

// A build for studios knows __DEV__ is false, and leaves this out with all that it needs.
const Gallery = __DEV__ ? lazy(() => import('@/gallery/Gallery').then((read) => ({ default: read.Gallery }))) : null;

export default function GalleryPage() {
  if (!Gallery) return <Redirect href="/bench" />;
  return (
    <Suspense fallback={null}>
      <Gallery />
    </Suspense>
  );
}
