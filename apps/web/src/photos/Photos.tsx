/** Pictures of a firing or of what stands on a shelf: shown small, opened large, added from camera or file, removed. */
import { PHOTOS_AT_MOST } from '@torvin/schema';
import { type ReactNode, createElement, useEffect, useRef, useState } from 'react';
import { Pressable, View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useServerAnswers } from '@/outside/useServerAnswers';
import { isSame } from '@/outbox/merge';
import { dropPicture, keepPicture, knownNames, localIdsIn, localName } from '@/outbox/pictures';
import { useEntries, useOutbox, useOwn } from '@/outbox/useOutbox';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { FileChoice } from '@/ui/FileChoice';
import { Notice } from '@/ui/Notice';
import { useTakes } from '@/ui/brought';
import { ofFingers } from '@/ui/ofFingers';
import { Words } from '@/ui/Words';
import { Thumbnail, usePhotoUrl } from './Thumbnail';
import { PHOTOS } from './words';

/** A touch opens one as large as the page. under: what stands beneath each. */
export function PhotoRow({ hashes, of, under }: { hashes: readonly string[]; of: string; under?(hash: string, i: number): ReactNode }) {
  const [open, setOpen] = useState<string | null>(null);
  if (hashes.length === 0) return null;
  return (
    <View style={{ gap: space.small, maxWidth: '100%' }} testID="photos">
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {hashes.map((hash, i) => (
          <View key={hash}>
            <Pressable role="button" aria-pressed={open === hash} onPress={() => setOpen(open === hash ? null : hash)} testID={`photo-${i}`}>
              <Thumbnail hash={hash} alt={PHOTOS.pictureOf(i + 1, of)} />
            </Pressable>
            {under?.(hash, i)}
          </View>
        ))}
      </View>
      {open && hashes.includes(open) && <Large hash={open} alt={PHOTOS.large(of)} />}
    </View>
  );
}

function Large({ hash, alt }: { hash: string; alt: string }) {
  const src = usePhotoUrl(hash, 'large');
  return createElement('img', { src: src ?? undefined, alt, style: { width: '100%', height: 'auto', display: 'block' } });
}

export interface PhotoPickerProps {
  hashes: readonly string[];
  /** What they are pictures of, in words. */
  of: string;
  onChange(hashes: string[]): void;
}

/** hashes: those that have not gone yet are named 'local:'; their names change as they arrive. */
export function PhotoPicker({ hashes, of, onChange }: PhotoPickerProps) {
  const outbox = useOutbox();
  const [problem, setProblem] = useState<string | null>(null);
  const [lasting, setLasting] = useState(true);
  /** With fingers: from the camera, or of those that are there. */
  const [asking, setAsking] = useState(false);
  const answers = useServerAnswers();
  const waiting = localIdsIn(hashes);
  const own = useOwn();
  const shown = useRef({ hashes, onChange });
  shown.current = { hashes, onChange };
  const set = (next: string[]): void => {
    shown.current.hashes = next;
    shown.current.onChange(next);
  };

  // One that has arrived goes by the name that the server gave it.
  const entries = useEntries();
  useEffect(() => {
    const known = knownNames(shown.current.hashes);
    if (!isSame(known, shown.current.hashes)) shown.current.onChange(known);
  }, [entries]);

  async function add(file: File): Promise<void> {
    const id = uuid();
    if (!(await keepPicture(id, file))) setLasting(false);
    own.put(id);
    set([...shown.current.hashes, localName(id)]);
    const arrived = await outbox.put('addPhoto', { id, fileName: file.name }, { id, own: true }).arrival;
    // It may have been removed again meanwhile.
    if (arrived.ok || !own.isHere() || !shown.current.hashes.includes(localName(id))) return;
    set(shown.current.hashes.filter((hash) => hash !== localName(id)));
    setProblem(`'${file.name}': ${arrived.problem.message}`);
    void dropPicture(id);
  }

  const room = PHOTOS_AT_MOST - hashes.length;
  const addAll = (files: readonly File[]): void => {
    setAsking(false);
    setProblem(files.length > room ? PHOTOS.noMoreThan(PHOTOS_AT_MOST) : null);
    for (const file of files.slice(0, room)) void add(file);
  };
  useTakes('pictures', addAll);

  function remove(hash: string): void {
    for (const id of localIdsIn([hash])) outbox.discard(id);
    set(hashes.filter((one) => one !== hash));
  }

  return (
    <View style={{ gap: space.small }}>
      <Words size="label" tone="muted">
        {PHOTOS.pictures}
      </Words>
      <PhotoRow
        hashes={hashes}
        of={of}
        under={(hash, i) => <Action kind="plain" title="×" label={PHOTOS.takePictureAway(i + 1)} testID={`photo-remove-${i}`} onPress={() => remove(hash)} />}
      />
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <FileChoice
          kind="second"
          title={answers && waiting.length > 0 ? PHOTOS.takingIn(waiting.length) : PHOTOS.addAPicture}
          accept="image/*"
          multiple
          disabled={room <= 0}
          testID="add-photo"
          instead={ofFingers() ? () => setAsking(!asking) : undefined}
          onFiles={addAll}
        />
        {asking && (
          <>
            <FileChoice kind="second" title={PHOTOS.takeOne} accept="image/*" camera disabled={room <= 0} testID="take-photo" onFiles={addAll} />
            <FileChoice kind="second" title={PHOTOS.fromDevice} accept="image/*" multiple disabled={room <= 0} testID="pick-photo" onFiles={addAll} />
          </>
        )}
      </View>
      {problem && (
        <Notice tone="warn" testID="photo-problem">
          {problem}
        </Notice>
      )}
      {!answers && waiting.length > 0 && <Words testID="photos-wait">{lasting ? PHOTOS.keptBrowserUntil(waiting.length) : PHOTOS.browserNoRoom}</Words>}
      <Words size="note" tone="muted">
        {PHOTOS.keptStudiosOwn}
      </Words>
    </View>
  );
}
