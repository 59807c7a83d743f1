/**
 * The pages that work on one piece or one firing, read as one file when the first of them is wanted, or beforehand while
 * the first view rests. What two routes share would otherwise be counted into the first view.
 */
import { type ComponentProps, type ComponentType, Suspense, createElement, lazy } from 'react';
import type * as pages from './pages/all';

type Pages = typeof pages;

export const readWorkbench = (): Promise<Pages> => import('./pages/all');

function page<N extends keyof Pages>(name: N) {
  type Props = ComponentProps<Pages[N]> & object;
  const Page = lazy(async () => ({ default: (await readWorkbench())[name] as unknown as ComponentType<Props> }));
  return function LoadedPage(props: Props) {
    return <Suspense fallback={null}>{createElement<Props>(Page, props)}</Suspense>;
  };
}

export const BesideRun = page('BesideRun');
export const ComparePage = page('ComparePage');
export const EditPiecePage = page('EditPiecePage');
export const FiringPage = page('FiringPage');
export const KeyInPage = page('KeyInPage');
export const NewPiecePage = page('NewPiecePage');
export const PiecePage = page('PiecePage');
export const PrintPage = page('PrintPage');
export const RecordPage = page('RecordPage');
export const RunPage = page('RunPage');
export const TellPage = page('TellPage');
