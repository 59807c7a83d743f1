/** A record on paper: how it came out, and the schedule as it ran. */
import { LOOK_NAMES } from '@torvin/core/look';
import { setupWords } from '@torvin/core/piece';
import { ROLE_NAMES, consequences, segmentDifferences } from '@torvin/core/schedule';
import { type Units, formatDuration, formatRate, formatTemperature, text } from '@torvin/core/units';
import { type FiringDetail, facedWords } from '@torvin/schema';
import { type Paper, part, row, said } from '@/paper/paperPages';
import { capital } from '@/ui/capital';
import { firedWords } from '@/ui/clock';
import { byWords, resultWords, seenWords } from '@/ui/results';
import { asRun } from './asRun';
import { measuredWords } from './measuredEntry';
import { MEASURED, RECORD_PAPER } from './words';

export function recordPaper(detail: FiringDetail, units: Units): Paper {
  const { firing, schedule } = detail;
  const { snapshot } = schedule;
  const ran = asRun(detail);
  const degrees = (celsius: number): string => text(formatTemperature(celsius, units.temperature));
  const faced = facedWords(firing.faced);
  const flaws = seenWords(firing);
  const measured = measuredWords(firing.measured, units);
  return {
    title: firing.pieceName,
    about: RECORD_PAPER.in(LOOK_NAMES[firing.look], snapshot.kilnName, firedWords(firing)),
    blocks: [
      row(capital(`${resultWords(firing.result)}${byWords(firing.lesson)}`), [
        flaws === '' ? '' : `${capital(flaws)}${firing.seenWhere ? `: ${firing.seenWhere}` : ''}.`,
        [setupWords(snapshot.setup, snapshot.firing.setup.coat?.name), firing.place].filter(Boolean).join(', '),
        faced === '' ? '' : `${capital(faced)}.`,
        measured === '' ? '' : MEASURED.said(measured),
      ]),
      ...(firing.note === '' ? [] : [said(firing.note)]),
      ...part(
        firing.asFired ? RECORD_PAPER.asItRan : RECORD_PAPER.itsSchedule,
        ran.segments.map(({ role, rate_C_per_h, target_C, hold_s }, i) =>
          row(`${i + 1} ${ROLE_NAMES[role]}`, [
            RECORD_PAPER.toHold(text(formatRate(rate_C_per_h, units.temperature)), degrees(target_C), text(formatDuration(hold_s))),
          ]),
        ),
      ),
      ...(firing.asFired ? part(RECORD_PAPER.otherwiseThanPlanned, segmentDifferences(schedule.segments, ran.segments, units.temperature).map(said)) : []),
      ...(firing.asFired
        ? part(
            RECORD_PAPER.plannedRan,
            consequences({ firing: snapshot.firing, evaluation: schedule.result }, { firing: snapshot.firing, evaluation: ran.evaluation }, units).map(
              ({ what, before, after }) => row(what, [], RECORD_PAPER.then(text(before), text(after))),
            ),
          )
        : []),
      ...part(RECORD_PAPER.saidWhenStarted, [...firing.differences, ...firing.accepted].map(said)),
    ],
  };
}
