/** Whether the glasses of a lay-up fit where they touch, what reacts there, and how coatings lie. */
import { type CoatingFinding, coatingFindings, fitReckoning, fitSentence, type FitVerdict, pairWords } from '@torvin/core/fit';
import { fitQuestion, sideBySide, type LaidLayer, glassName } from '@torvin/core/piece';
import type { Shelves } from '@torvin/schema';
import { useMemo } from 'react';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import type { ContactMark } from '@/section/SectionEditor';
import { FIT } from './words';

export interface FitFinding {
  key: string;
  /** The layers that it speaks of, lower one first. */
  lower: number;
  upper: number;
  /** All that touch so. */
  between: readonly (readonly [lower: number, upper: number])[];
  tone: 'warn' | 'know' | 'fine';
  sentence: string;
  /** Behind 'why?': the figures put in and what came of them. */
  reckoning: string[];
}

export interface FitNews {
  /** The whole in a word or two, and what it rests on. */
  title: string;
  about: string;
  /** Something in it must be put right before it is fired. */
  warns: boolean;
  verdict: FitVerdict['verdict'];
  findings: FitFinding[];
  marks: ContactMark[];
  coatings: CoatingFinding[];
  stale: boolean;
}

const VERDICTS: Record<FitVerdict['verdict'], { title: string; about: string }> = {
  fits: { title: FIT.fits, about: FIT.oneGlass },
  likely: { title: FIT.likelyToFit, about: FIT.estimatedNotTested },
  doubtful: { title: FIT.fitDoubtful, about: FIT.testStripThese },
  fails: { title: FIT.doesNotFit, about: FIT.firedTogetherThey },
};
const COUNTS = ['', 'one', 'two', 'three', 'four', 'five', 'six'] as const;

export function useFit(layers: readonly LaidLayer[], shelves: Shelves): FitNews | null {
  const units = useUnits();
  const question = useMemo(() => fitQuestion(layers, shelves), [layers, shelves]);
  const { glasses, contacts, evidence } = question;
  const asked = useMemo(() => (contacts.length === 0 ? null : { glasses, contacts, evidence }), [glasses, contacts, evidence]);
  const { value, stale } = useComputed('fit', asked);
  const name = (glass: number): string => glassName(shelves, question.ids[glass] ?? '');
  const coatings = coatingFindings({
    layers: layers.map((layer) => {
      if (layer.form === 'sheet') return { form: 'sheet', glass: 0, thickness_m: layer.thickness_m, ...(layer.coated ? { coated: layer.coated } : {}) };
      if (layer.form === 'cap') return { form: 'cap', glass: 0, thickness_m: layer.thickness_m, overhang_m: layer.overhang_m };
      return { form: 'sheet', glass: 0, thickness_m: 0.001, cover: 0.5 };
    }),
  });
  const coatingMarks = coatings
    .filter(({ state }) => state !== 'faceDown' && state !== 'capped')
    .map(({ layer }): ContactMark => ({ lower: layer, upper: layer, tone: 'warn' }));
  const lieWell = coatingMarks.length === 0;
  if (contacts.length === 0)
    return { title: FIT.fits, about: FIT.oneLayer, warns: !lieWell, verdict: 'fits', findings: [], marks: coatingMarks, coatings, stale: false };
  if (!value || value.pairs.length !== contacts.length) return null;

  const findings = value.pairs.flatMap((pair, index): FitFinding[] => {
    const between = question.between[index];
    const [[lower, upper]] = between;
    const names = { lower: name(pair.lower), upper: name(pair.upper), beside: sideBySide(layers, lower, upper) };
    const reckoning = fitReckoning(pair, glasses, names, units);
    const tone = pair.verdict === 'fails' || pair.verdict === 'doubtful' ? 'warn' : 'fine';
    const own: FitFinding[] =
      pair.basis === 'sameGlass' ? [] : [{ key: `fit ${index}`, lower, upper, between, tone, sentence: fitSentence(pair, names, units.length), reckoning }];
    const reactions = pair.reactions.map((because, i): FitFinding => ({
      key: `reaction ${index} ${i}`,
      lower,
      upper,
      between,
      tone: 'know',
      sentence: FIT.reactWantedNot(pairWords(names), because),
      reckoning: [],
    }));
    return [...own, ...reactions];
  });
  const marks = findings.flatMap(({ tone, between }): ContactMark[] => (tone === 'fine' ? [] : between.map(([lower, upper]) => ({ lower, upper, tone }))));
  const kinds = question.ids.length;
  const words = VERDICTS[value.verdict];
  const about = value.verdict === 'fits' && kinds > 1 && value.basis === 'proven' ? FIT.glassesOneTested(COUNTS[kinds] ?? kinds) : words.about;
  const warns = value.verdict === 'fails' || value.verdict === 'doubtful' || !lieWell;
  return { title: words.title, about, warns, verdict: value.verdict, findings, marks: strongest([...marks, ...coatingMarks]), coatings, stale };
}

/** One mark at each contact: a warning hides what is only to be known. */
function strongest(marks: readonly ContactMark[]): ContactMark[] {
  const at = new Map<string, ContactMark>();
  for (const mark of marks) {
    const key = `${mark.lower} ${mark.upper}`;
    if (at.get(key)?.tone !== 'warn') at.set(key, mark);
  }
  return [...at.values()];
}
