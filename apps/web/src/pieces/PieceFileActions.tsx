/** A piece out to a file, and a piece file in. */
import { fileName } from '@torvin/core/units';
import { type ImportQuery, type Imported, api } from '@torvin/schema';
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

export function SavePieceFile({ pieceId, name }: { pieceId: string; name: string }) {
  const [problem, setProblem] = useState<string | null>(null);
  const save = async (): Promise<void> => {
    try {
      download(fileName(name, 'json'), await takeFile(api.pieceFile, pieceId));
      setProblem(null);
    } catch (error) {
      setProblem(problemOfError(error).message);
    }
  };
  return (
    <>
      <Action kind="second" title="Export" label="Export: the piece with its firings" testID="save-piece-file" onPress={() => void save()} />
      {problem && <Notice tone="warn">{problem}</Notice>}
    </>
  );
}

const OUTCOMES: Record<Imported['outcome'], string> = {
  new: 'is here now',
  restored: 'had been deleted and is back, as in the file',
  copied: 'is a copy: the piece itself is here still',
};

export function ReadPieceFile() {
  const router = useRouter();
  const client = useQueryClient();
  const [said, setSaid] = useState<{ tone: 'warn' | 'plain'; words: string; pieceId?: string; asks?: File } | null>(null);

  async function read(file: File, running: ImportQuery['running'] = 'ask'): Promise<void> {
    try {
      const { piece, outcome } = await sendFile(api.importPiece, file, { running });
      adoptPiece(client, piece);
      await readAnew(client);
      setSaid({ tone: 'plain', words: `${piece.name} ${OUTCOMES[outcome]}.`, pieceId: piece.id });
    } catch (error) {
      const { code, path, message } = problemOfError(error);
      if (code === 'running') return setSaid({ tone: 'warn', words: message, asks: file });
      if (code === 'malformed-json' || path === 'format')
        return setSaid({ tone: 'warn', words: `'${file.name}' is not a piece file: choose one that Torvin wrote, ending in .json.` });
      setSaid({ tone: 'warn', words: `'${file.name}' cannot be read in: ${message}${path ? ` (at ${path})` : ''}` });
    }
  }

  return (
    <View>
      <FileChoice kind="plain" title="Import a piece" accept=".json,application/json" testID="read-piece-file" onFiles={([file]) => void read(file)} />
      {said && (
        <Notice
          tone={said.tone}
          testID="read-piece-said"
          actions={
            said.asks ? (
              <>
                <Action kind="second" title="It runs here too" testID="read-running-in" onPress={() => void read(said.asks as File, 'in')} />
                <Action kind="second" title="Leave it out" testID="read-running-out" onPress={() => void read(said.asks as File, 'out')} />
              </>
            ) : (
              said.pieceId && <Action kind="second" title="Open it" testID="open-read-piece" onPress={() => router.push(`/pieces/${said.pieceId}`)} />
            )
          }
        >
          {said.words}
        </Notice>
      )}
    </View>
  );
}
