/** A piece out to a file, and a piece file in. */
import { fileName } from '@torvin/core/units';
import { type ImportQuery, type Imported, asks } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { problemOfError, sendFile, takeFile } from '@/outside/client';
import { adoptPiece, readAnew } from '@/outside/keys';
import { Action } from '@/ui/Action';
import { FileChoice } from '@/ui/FileChoice';
import { Notice } from '@/ui/Notice';
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

export function ReadPieceFile() {
  const router = useRouter();
  const client = useQueryClient();
  const [said, setSaid] = useState<{ tone: 'warn' | 'plain'; words: string; pieceId?: string; asks?: File } | null>(null);

  async function read(file: File, running: ImportQuery['running'] = 'ask'): Promise<void> {
    try {
      const { piece, outcome } = await sendFile(asks.importPiece, file, { running });
      adoptPiece(client, piece);
      await readAnew(client);
      setSaid({ tone: 'plain', words: `${piece.name} ${OUTCOMES[outcome]}.`, pieceId: piece.id });
    } catch (error) {
      const { code, path, message } = problemOfError(error);
      if (code === 'running') return setSaid({ tone: 'warn', words: message, asks: file });
      if (code === 'malformed-json' || path === 'format') return setSaid({ tone: 'warn', words: PIECE_FILE_ACTIONS.notPieceFile(file.name) });
      setSaid({ tone: 'warn', words: PIECE_FILE_ACTIONS.cannotRead(file.name, message, path ? PIECE_FILE_ACTIONS.at(path) : '') });
    }
  }

  return (
    <View>
      <FileChoice
        kind="plain"
        title={PIECE_FILE_ACTIONS.importAPiece}
        accept=".json,application/json"
        testID="read-piece-file"
        onFiles={([file]) => void read(file)}
      />
      {said && (
        <Notice
          tone={said.tone}
          testID="read-piece-said"
          actions={
            said.asks ? (
              <>
                <Action kind="second" title={PIECE_FILE_ACTIONS.runsToo} testID="read-running-in" onPress={() => void read(said.asks as File, 'in')} />
                <Action kind="second" title={PIECE_FILE_ACTIONS.leaveItOut} testID="read-running-out" onPress={() => void read(said.asks as File, 'out')} />
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
