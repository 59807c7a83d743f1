/**
 * The pages that work on one piece or one firing, read as one file when the first of them is wanted, or beforehand while
 * the first view rests. What two routes share would otherwise be counted into the first view.
 */
import { type ComponentProps, type ComponentType, createElement, useEffect, useState } from 'react';
import { useServerAnswers } from '@/outside/useServerAnswers';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import type * as pages from './pages/all';

type Pages = typeof pages;

let read: Pages | null = null;

/** Once read, pages are there at once. */
export async function readWorkbench(): Promise<Pages> {
  read ??= await import('./pages/all');
  return read;
}

function page<N extends keyof Pages>(name: N) {
  type Props = ComponentProps<Pages[N]> & object;
  return function LoadedPage(props: Props) {
    const answers = useServerAnswers();
    const [loaded, setLoaded] = useState(read);
    const [failed, setFailed] = useState(false);
    useEffect(() => {
      if (loaded) return;
      readWorkbench().then(
        (all) => setLoaded(all),
        () => setFailed(true),
      );
      // Tried again by itself when the server answers again.
    }, [loaded, answers]);
    // A page by a name that is not known yet takes the props of all of them at once, to the compiler.
    // eslint-disable-next-line no-restricted-syntax -- Props are those of the page of this name
    if (loaded) return createElement<Props>(loaded[name] as unknown as ComponentType<Props>, props);
    return failed ? <Unread /> : null;
  };
}

const Unread = () => (
  <Screen title="Torvin">
    <Notice tone="warn" actions={<Action kind="second" title="Read it again" onPress={() => window.location.reload()} />}>
      This page could not be read: the server does not answer. It comes by itself when the server is back.
    </Notice>
  </Screen>
);

export const AgainPage = page('AgainPage');
export const BesideRun = page('BesideRun');
export const ComparePage = page('ComparePage');
export const EditPiecePage = page('EditPiecePage');
export const DocScreen = page('DocScreen');
export const FindPanel = page('FindPanel');
export const FiringPage = page('FiringPage');
export const GivenPage = page('GivenPage');
export const HelpPanel = page('HelpPanel');
export const HelpScreen = page('HelpScreen');
export const KeyInPage = page('KeyInPage');
export const KilnPage = page('KilnPage');
export const LabelPage = page('LabelPage');
export const NewPiecePage = page('NewPiecePage');
export const PiecePage = page('PiecePage');
export const PlanFiringPage = page('PlanFiringPage');
export const PlanPrintPage = page('PlanPrintPage');
export const PracticePage = page('PracticePage');
export const PrintPage = page('PrintPage');
export const ReckonPanel = page('ReckonPanel');
export const RecordFiringPage = page('RecordFiringPage');
export const RehearsalPage = page('RehearsalPage');
export const RunPage = page('RunPage');
export const StartScreen = page('StartScreen');
export const TellPage = page('TellPage');
