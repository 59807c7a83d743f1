/** Pictures of a firing: shown small, opened large, added from camera or file, taken away. */
import type { Photo } from '@torvin/schema';
import { createElement, useRef, useState } from 'react';
import { Pressable, View } from 'react-native';
import { problemOfError, sendPhoto } from '@/data/client';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';

const SMALL_PX = 96;

export const photoUrl = (hash: string, size: 'large' | 'small'): string => `/api/photos/${hash}${size === 'small' ? '?size=small' : ''}`;

/** Keeps its room before it has come, so that nothing jumps; says so where the picture stayed in another studio. */
export function Thumbnail({ hash, px = SMALL_PX, alt }: { hash: string; px?: number; alt: string }) {
  const { colours } = useTheme();
  const [missing, setMissing] = useState(false);
  if (missing) {
    return (
      <View style={{ width: px, height: px, justifyContent: 'center', alignItems: 'center', backgroundColor: colours.surface }} aria-label={`${alt}, not here`}>
        <Words size="note" tone="muted" style={{ textAlign: 'center' }}>
          {px >= SMALL_PX ? 'picture not here' : '–'}
        </Words>
      </View>
    );
  }
  return createElement('img', {
    onError: () => setMissing(true),
    src: photoUrl(hash, 'small'),
    alt,
    width: px,
    height: px,
    loading: 'lazy',
    decoding: 'async',
    style: { objectFit: 'cover', background: colours.line, display: 'block' },
  });
}

/** Those of a recorded firing; a touch opens one as large as the page. */
export function PhotoRow({ hashes, of }: { hashes: readonly string[]; of: string }) {
  const [open, setOpen] = useState<string | null>(null);
  if (hashes.length === 0) return null;
  return (
    <View style={{ gap: space.small }} testID="photos">
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {hashes.map((hash, i) => (
          <Pressable key={hash} role="button" aria-pressed={open === hash} onPress={() => setOpen(open === hash ? null : hash)} testID={`photo-${i}`}>
            <Thumbnail hash={hash} alt={`Picture ${i + 1} of ${of}`} />
          </Pressable>
        ))}
      </View>
      {open && createElement('img', { src: photoUrl(open, 'large'), alt: `${of}, large`, style: { width: '100%', height: 'auto', display: 'block' } })}
    </View>
  );
}

export interface PhotoPickerProps {
  hashes: readonly string[];
  onChange(hashes: string[]): void;
}

const AT_MOST = 12;

export function PhotoPicker({ hashes, onChange }: PhotoPickerProps) {
  const input = useRef<HTMLInputElement>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [sending, setSending] = useState(0);

  async function add(files: readonly File[]): Promise<void> {
    setProblem(null);
    setSending(files.length);
    const added: string[] = [];
    for (const file of files) {
      try {
        const photo: Photo = await sendPhoto(file);
        if (!hashes.includes(photo.hash)) added.push(photo.hash);
      } catch (error) {
        setProblem(`'${file.name}': ${problemOfError(error).message}`);
      }
      setSending((left) => left - 1);
    }
    onChange([...new Set([...hashes, ...added])].slice(0, AT_MOST));
  }

  return (
    <View style={{ gap: space.small }}>
      <Words size="label" tone="muted">
        Pictures
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {hashes.map((hash, i) => (
          <View key={hash}>
            <Thumbnail hash={hash} alt={`Picture ${i + 1}`} />
            <Action
              kind="plain"
              title="×"
              label={`× Take picture ${i + 1} away`}
              testID={`photo-remove-${i}`}
              onPress={() => onChange(hashes.filter((one) => one !== hash))}
            />
          </View>
        ))}
      </View>
      <View style={{ alignItems: 'flex-start' }}>
        <Action
          kind="second"
          title={sending > 0 ? `Taking in ${sending} …` : 'Add a picture'}
          disabled={sending > 0 || hashes.length >= AT_MOST}
          testID="add-photo"
          onPress={() => input.current?.click()}
        />
      </View>
      {createElement('input', {
        ref: input,
        type: 'file',
        accept: 'image/*',
        multiple: true,
        hidden: true,
        'data-testid': 'photo-input',
        onChange: (event: { target: HTMLInputElement }) => {
          const files = [...(event.target.files ?? [])];
          if (files.length > 0) void add(files);
          event.target.value = '';
        },
      })}
      {problem && (
        <Notice tone="warn" testID="photo-problem">
          {problem}
        </Notice>
      )}
      <Words size="note" tone="muted">
        Kept on this studio’s own server, without place and time of the camera.
      </Words>
    </View>
  );
}
