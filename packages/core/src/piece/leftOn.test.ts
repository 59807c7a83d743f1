import { type FiredSo, leftOn } from './leftOn';

const releases = [
  { id: 'kiln wash', kind: 'primer', top_C: 900 },
  { id: 'spray', kind: 'nitrideSprayed', top_C: 900 },
  { id: 'felt', kind: 'paper', top_C: 1200 },
] as const;

const fired = (more: Partial<FiredSo> & { setup?: object; releaseId?: string }): string[] => {
  const { setup, releaseId, ...rest } = more;
  const step = { setup: { kind: 'bareShelf', paper: false, ...setup }, ...(releaseId ? { releaseId } : {}) } as FiredSo['step'];
  return leftOn({ step, top_C: 800, dammed: false, hazed: false, releases, ...rest });
};
const steel = (material: string) => ({ form: { id: 'f', name: 'Ring', shape: { material } } });

test.each([
  ['a shelf that nothing is told of', {}, ['primer']],
  ['boron nitride', { releaseId: 'spray' }, ['nitride']],
  ['paper of the studio', { releaseId: 'felt' }, ['paper']],
  ['paper of the usual kind', { setup: { paper: true } }, ['paper']],
  ['a dam', { dammed: true, releaseId: 'felt' }, ['damPaper', 'paper']],
  ['an investment', { setup: { kind: 'inInvestment' } }, ['plaster']],
  ['mild steel at 800 °C', { setup: steel('mildSteel') }, ['scale', 'primer']],
  ['stainless steel at 800 °C, too cool to scale', { setup: steel('stainless') }, ['primer']],
  ['stainless steel at 890 °C', { setup: steel('stainless'), top_C: 890 }, ['stainlessScale', 'primer']],
  ['glass that came out devitrified', { hazed: true }, ['primer', 'haze']],
])('of %s', (_, more, left) => expect(fired(more)).toEqual(left));
