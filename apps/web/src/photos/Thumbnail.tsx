/** A picture, small: from the server, or from this browser while it has not gone. */
import { createElement, useEffect, useState } from 'react';
import { View } from 'react-native';
import { localIdsIn, readPicture } from '@/outbox/pictures';
import { useTheme } from '@/theme/ThemeContext';
import { Words } from '@/ui/Words';
import { THUMBNAIL } from './words';

const SMALL_PX = 96;

type Size = 'large' | 'small';

export const photoUrl = (hash: string, size: Size): string => `/api/photos/${hash}${size === 'small' ? '?size=small' : ''}`;

/** The address of a picture: on the server, or in this browser while it has not gone. */
export function usePhotoUrl(hash: string, size: Size): string | null {
  const [local] = localIdsIn([hash]);
  const [url, setUrl] = useState<string | null>(null);
  useEffect(() => {
    if (!local) return;
    let made: string | null = null;
    let here = true;
    void readPicture(local).then((picture) => {
      if (!picture || !here) return;
      made = URL.createObjectURL(picture);
      setUrl(made);
    });
    return () => {
      here = false;
      if (made) URL.revokeObjectURL(made);
    };
  }, [local]);
  return local ? url : photoUrl(hash, size);
}

/** Keeps its room before it has come, so that nothing jumps; says so where the picture stayed in another studio. */
export function Thumbnail({ hash, px = SMALL_PX, alt }: { hash: string; px?: number; alt: string }) {
  const { colours } = useTheme();
  const [missing, setMissing] = useState(false);
  const url = usePhotoUrl(hash, 'small');
  if (missing) {
    return (
      <View
        style={{ width: px, height: px, justifyContent: 'center', alignItems: 'center', backgroundColor: colours.surface }}
        aria-label={THUMBNAIL.notHere(alt)}
      >
        <Words size="note" tone="muted" style={{ textAlign: 'center' }}>
          {px >= SMALL_PX ? THUMBNAIL.pictureNotHere : '–'}
        </Words>
      </View>
    );
  }
  return createElement('img', {
    onError: () => setMissing(true),
    src: url ?? undefined,
    alt,
    width: px,
    height: px,
    loading: 'lazy',
    decoding: 'async',
    style: { objectFit: 'cover', background: colours.line, display: 'block' },
  });
}
