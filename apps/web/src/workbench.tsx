/**
 * All pages but the first view: read as two files when one of theirs is wanted, or beforehand while the first view rests. What two
 * routes share would otherwise be counted into the first view.
 */
import { type ComponentType, createElement, useEffect, useState } from 'react';
import { told, useTold } from '@/outside/told';
import { useServerAnswers } from '@/outside/useServerAnswers';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { View } from 'react-native';
import { Screen } from '@/ui/Screen';
import { SECTION_HEIGHT } from './bench/sizes';

/** A file of pages, read when the first of them is wanted. */
function fileOf<Pages extends object>(read: () => Promise<Pages>) {
  let pages: Pages | null = null;
  /** Once read, pages are there at once. */
  const readFile = async (): Promise<Pages> => (pages ??= await read());

  /** Meanwhile: what stands in its place until it is read. */
  function page<N extends keyof Pages>(name: N, Meanwhile?: ComponentType<PropsOf<Pages[N]>>) {
    type Props = PropsOf<Pages[N]> & object;
    return function LoadedPage(props: Props) {
      const answers = useServerAnswers();
      const [loaded, setLoaded] = useState(pages);
      const [failed, setFailed] = useState(false);
      useEffect(() => {
        if (loaded) return;
        readFile().then(
          (all) => setLoaded(all),
          () => setFailed(true),
        );
        // Tried again by itself when the server answers again.
      }, [loaded, answers]);
      // A page by a name that is not known yet takes the props of all of them at once, to the compiler.
      // eslint-disable-next-line no-restricted-syntax -- Props are those of the page of this name
      if (loaded) return createElement<Props>(loaded[name] as unknown as ComponentType<Props>, props);
      if (Meanwhile) return <Meanwhile {...props} />;
      return failed ? <Unread /> : null;
    };
  }
  return { page, readFile };
}

type PropsOf<P> = P extends ComponentType<infer Props> ? Props : never;

/** What the first view shows in part, and the run sheet. */
const { page: early, readFile: readEarly } = fileOf(() => import('./pages/run'));

/** All others. What they share with those before is in the file of those. */
const allRead = told(false);
const { page, readFile } = fileOf(async () => {
  await readEarly();
  const all = await import('./pages/all');
  allRead.set(true);
  return all;
});
export const readWorkbench = readFile;

const Unread = () => (
  <Screen title="Torvin">
    <Notice tone="warn" actions={<Action kind="second" title="Read it again" onPress={() => window.location.reload()} />}>
      This page could not be read: the server does not answer. It comes by itself when the server is back.
    </Notice>
  </Screen>
);

const Nothing = () => null;
const SectionRoom = () => <View style={{ height: SECTION_HEIGHT }} />;
const KeptRoom = ({ width, height }: { width?: number; height?: number }) => <View style={{ width, height }} />;

export const AgainPage = page('AgainPage');
export const BesideRun = page('BesideRun', Nothing);
const Brought = page('BroughtHere', Nothing);
/** It listens once the others have been read, and has nothing read for itself. */
export const BroughtHere = () => (useTold(allRead) ? <Brought /> : null);
export const ComparePage = page('ComparePage');
export const DiagnosticsScreen = page('DiagnosticsScreen');
export const DocScreen = page('DocScreen');
export const EarlierEngine = page('EarlierEngine', Nothing);
export const EditPiecePage = page('EditPiecePage');
export const FilesPanel = page('FilesPanel', Nothing);
export const FindPanel = page('FindPanel');
export const FiringPage = page('FiringPage');
export const GivenPage = page('GivenPage');
export const HelpPanel = page('HelpPanel');
export const HelpScreen = page('HelpScreen');
export const KeyInPage = page('KeyInPage');
export const KilnPage = page('KilnPage');
export const LabelPage = page('LabelPage');
export const LearnedOf = page('LearnedOf', Nothing);
export const LoadPage = page('LoadPage');
export const NewPiecePage = page('NewPiecePage');
export const NotebookPane = page('NotebookPane', Nothing);
export const NextPage = page('NextPage');
export const NotebookPage = page('NotebookPage');
export const PieceMark = early('PieceMark', KeptRoom);
export const OpeningPage = page('OpeningPage');
export const PiecePage = page('PiecePage');
export const PiecesBeside = page('PiecesBeside', Nothing);
export const PiecesPage = page('PiecesPage');
export const PlanFiringPage = page('PlanFiringPage');
export const PlanPrintPage = page('PlanPrintPage');
export const PracticePage = page('PracticePage');
export const PrintPage = page('PrintPage');
export const ReckonPanel = page('ReckonPanel');
export const RecordFiringPage = page('RecordFiringPage');
export const RehearsalPage = page('RehearsalPage');
export const RunPage = early('RunPage');
export const RunningSection = early('RunningSection', SectionRoom);
export const RunPanels = page('RunPanels', Nothing);
export const RunSheetOnPaper = page('RunSheetOnPaper', Nothing);
export const SegmentSheet = page('SegmentSheet', Nothing);
export const SeriesPage = page('SeriesPage');
export const SettingsScreen = page('SettingsScreen');
export const ShelfBeside = page('ShelfBeside', Nothing);
export const ShelfRecordPage = page('ShelfRecordPage');
export const ShelvesPage = page('ShelvesPage');
export const StartScreen = page('StartScreen');
export const TellPage = page('TellPage');
