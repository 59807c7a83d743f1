/** Listens for what is dropped or pasted anywhere, says what becomes of it, and hands it to whoever takes it. */
import { writtenRows } from '@torvin/core/schedule';
import { PIECE_FILE_FORMAT, PIECES_FILE_FORMAT, cellsOf } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from './Action';
import { BottomLine } from './BottomLine';
import { Words } from './Words';
import { bring, isTaken, leaveFor } from './brought';
import { BROUGHT } from './said';

const isPicture = ({ type }: { type: string }): boolean => type.startsWith('image/');
/** What may hold a piece or a schedule; others are not opened, however large they are. */
const isText = ({ type, name }: File): boolean => /^(text\/|application\/json)/.test(type) || /\.(json|csv|tsv|txt)$/i.test(name);
const isWritten = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement && (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** Whether it is a piece that Torvin wrote. */
function isPieceFile(words: string): boolean {
  if (!words.trimStart().startsWith('{')) return false;
  try {
    const { format } = (JSON.parse(words) ?? {}) as { format?: unknown };
    return format === PIECE_FILE_FORMAT || format === PIECES_FILE_FORMAT;
  } catch {
    return false;
  }
}

/** Fewer lines with a figure are no schedule that somebody pastes. */
const LEAST_ROWS = 2;
const isSchedule = (words: string): boolean => words.trimStart().startsWith('{') || writtenRows(cellsOf(words)).length >= LEAST_ROWS;

export function BroughtHere() {
  const router = useRouter();
  const { colours } = useTheme();
  const [over, setOver] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  useEffect(() => {
    const takeWords = (words: string, file: File | null): void => {
      if (file && isPieceFile(words)) {
        if (bring('piece', file)) return;
        leaveFor('piece', file);
        router.push('/pieces');
      } else if (!bring('schedule', words)) setSaid(BROUGHT.noSchedule);
    };
    const take = (files: readonly File[]): void => {
      setSaid(null);
      const pictures = files.filter(isPicture);
      if (pictures.length > 0 && !bring('pictures', pictures)) setSaid(BROUGHT.noPicture);
      for (const file of files.filter((one) => !isPicture(one))) {
        if (isText(file)) void file.text().then((words) => takeWords(words, file));
        else setSaid(BROUGHT.noSchedule);
      }
    };
    const brings = ({ dataTransfer }: DragEvent): boolean => dataTransfer !== null && dataTransfer.types.includes('Files');
    const onDragOver = (event: DragEvent): void => {
      if (!brings(event)) return;
      event.preventDefault();
      const items = [...(event.dataTransfer?.items ?? [])];
      setOver(items.length > 0 && items.every(isPicture) ? (isTaken('pictures') ? BROUGHT.dropPicture : BROUGHT.noPicture) : BROUGHT.dropFile);
    };
    const onDragLeave = ({ relatedTarget }: DragEvent): void => {
      if (relatedTarget === null) setOver(null);
    };
    const onDrop = (event: DragEvent): void => {
      setOver(null);
      if (!brings(event)) return;
      event.preventDefault();
      take([...(event.dataTransfer?.files ?? [])]);
    };
    const onPaste = (event: ClipboardEvent): void => {
      const pictures = [...(event.clipboardData?.files ?? [])].filter(isPicture);
      if (pictures.length > 0) {
        event.preventDefault();
        return take(pictures);
      }
      const words = event.clipboardData?.getData('text/plain') ?? '';
      if (isWritten(event.target) || !isTaken('schedule') || !isSchedule(words)) return;
      event.preventDefault();
      takeWords(words, null);
    };
    window.addEventListener('dragover', onDragOver);
    window.addEventListener('dragleave', onDragLeave);
    window.addEventListener('drop', onDrop);
    window.addEventListener('paste', onPaste);
    return () => {
      window.removeEventListener('dragover', onDragOver);
      window.removeEventListener('dragleave', onDragLeave);
      window.removeEventListener('drop', onDrop);
      window.removeEventListener('paste', onPaste);
    };
  }, [router]);
  return (
    <>
      {over !== null && (
        <View
          style={{
            ...{ position: 'absolute', inset: 0, zIndex: 20, pointerEvents: 'none', alignItems: 'center', justifyContent: 'flex-end', padding: space.wide },
            ...{ borderWidth: 4, borderColor: colours.touch },
          }}
          testID="dropping"
        >
          <View style={{ backgroundColor: colours.touch, padding: space.large }}>
            <Words bold tone="onTouch">
              {over}
            </Words>
          </View>
        </View>
      )}
      {said !== null && (
        <BottomLine testID="not-taken" actions={<Action kind="plain" title="×" label={BROUGHT.close} onPress={() => setSaid(null)} />}>
          {said}
        </BottomLine>
      )}
    </>
  );
}
