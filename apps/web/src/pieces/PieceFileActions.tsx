/** A piece out to a file, and a piece file in. */
import { fileName } from '@torvin/core/units';
import { type ImportQuery, type Imported, asks, PIECES_FILE_FORMAT } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { type ReactNode, useState } from 'react';
import { View } from 'react-native';
import { problemOfError, sendFile, takeFile } from '@/outside/client';
import { adoptPiece, readAnew } from '@/outside/keys';
import { Action } from '@/ui/Action';
import { FileChoice } from '@/ui/FileChoice';
import { Notice } from '@/ui/Notice';
import { useTakes } from '@/ui/brought';
import { download } from '@/ui/download';
import { PIECE_FILE_ACTIONS } from './words';

export function SavePieceFile({ pieceId, name }: { pieceId: string; name: string }) {
  const [problem, setProblem] = useState<string | null>(null);
  const save = async (): Promise<void> => {
    try {
      download(fileName(name, 'json'), await takeFile(asks.pieceFile, pieceId));
      setProblem(null);
    } catch (error) {
      setProblem(problemOfError(error).message);
    }
  };
  return (
    <>
      <Action
        kind="second"
        title={PIECE_FILE_ACTIONS.export}
        label={PIECE_FILE_ACTIONS.exportPieceFirings}
        testID="save-piece-file"
        onPress={() => void save()}
      />
      {problem && <Notice tone="warn">{problem}</Notice>}
    </>
  );
}

const OUTCOMES: Record<Imported['outcome'], string> = {
  new: PIECE_FILE_ACTIONS.isHereNow,
  restored: PIECE_FILE_ACTIONS.hadBeenDeleted,
  copied: PIECE_FILE_ACTIONS.copyPieceItself,
};

/** Files that are still to be read, of how many. */
interface Left {
  files: readonly File[];
  of: number;
}

/** Each piece of a file of several, as a file of its own; the file itself where it is of one. */
async function apart(file: File): Promise<File[]> {
  const read: unknown = await file
    .text()
    .then(JSON.parse)
    .catch(() => null);
  const { format, pieces } = (read ?? {}) as { format?: unknown; pieces?: unknown };
  if (format !== PIECES_FILE_FORMAT || !Array.isArray(pieces)) return [file];
  return pieces.map((piece) => new File([JSON.stringify(piece)], file.name, { type: 'application/json' }));
}

/** It takes what is dropped, asked for or not. beside: stands in the same line. */
export function ReadPieceFile({ shown, beside }: { shown: boolean; beside: ReactNode }) {
  const router = useRouter();
  const client = useQueryClient();
  const [said, setSaid] = useState<{ tone: 'warn' | 'plain'; words: string; pieceId?: string; asks?: Left } | null>(null);

  async function read(file: File): Promise<void> {
    await readAll(await apart(file));
  }

  /** One after another; where one asks, it and those after it wait for the answer. */
  async function readAll(files: readonly File[], running: ImportQuery['running'] = 'ask', of = files.length): Promise<void> {
    for (const [i, one] of files.entries()) if (!(await readOne(one, running, { files: files.slice(i), of }))) return;
    if (of > 1) setSaid({ tone: 'plain', words: PIECE_FILE_ACTIONS.areHereNow(of) });
  }

  const readOn = (running: ImportQuery['running']): void => {
    if (said?.asks) void readAll(said.asks.files, running, said.asks.of);
  };

  /** Whether it is in. */
  async function readOne(file: File, running: ImportQuery['running'], left: Left): Promise<boolean> {
    try {
      const { piece, outcome } = await sendFile(asks.importPiece, file, { running });
      adoptPiece(client, piece);
      await readAnew(client);
      setSaid({ tone: 'plain', words: `${piece.name} ${OUTCOMES[outcome]}.`, pieceId: piece.id });
      return true;
    } catch (error) {
      const { code, path, message } = problemOfError(error);
      if (code === 'running') setSaid({ tone: 'warn', words: message, asks: left });
      else if (code === 'malformed-json' || path === 'format') setSaid({ tone: 'warn', words: PIECE_FILE_ACTIONS.notPieceFile(file.name) });
      else {
        const done = left.of - left.files.length;
        const why = PIECE_FILE_ACTIONS.cannotRead(file.name, message, path ? PIECE_FILE_ACTIONS.at(path) : '');
        setSaid({ tone: 'warn', words: done > 0 ? `${PIECE_FILE_ACTIONS.soFar(done, left.of)} ${why}` : why });
      }
      return false;
    }
  }

  useTakes('piece', (file) => void read(file));

  return (
    <View>
      {shown && (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
          <FileChoice
            kind="plain"
            title={PIECE_FILE_ACTIONS.importAPiece}
            accept=".json,application/json"
            testID="read-piece-file"
            onFiles={([file]) => void read(file)}
          />
          {beside}
        </View>
      )}
      {said && (
        <Notice
          tone={said.tone}
          testID="read-piece-said"
          actions={
            said.asks ? (
              <>
                <Action kind="second" title={PIECE_FILE_ACTIONS.runsToo} testID="read-running-in" onPress={() => readOn('in')} />
                <Action kind="second" title={PIECE_FILE_ACTIONS.leaveItOut} testID="read-running-out" onPress={() => readOn('out')} />
              </>
            ) : (
              said.pieceId && (
                <Action kind="second" title={PIECE_FILE_ACTIONS.openIt} testID="open-read-piece" onPress={() => router.push(`/pieces/${said.pieceId}`)} />
              )
            )
          }
        >
          {said.words}
        </Notice>
      )}
    </View>
  );
}
