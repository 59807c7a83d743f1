/** What no schedule of this studio may go beyond, where it goes by other figures than usual. */
import { DEFAULT_LIMITS, STUDIO_LIMITS, STUDIO_LIMIT_NAMES, type StudioLimit, bolderLimits, limitsOf } from '@torvin/core/schedule';
import { readFigure } from '@torvin/core/units';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useSaveStudio, useStudio } from '@/data/studio';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Stepper } from '@/ui/Stepper';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { stepFrom } from '@/ui/stepFrom';
import { STUDIO_LIMITS_WORDS } from './words';

/** Of what is shown, by its unit. */
const STEPS: Record<string, number> = { MPa: 0.1, psi: 10, '°C': 5, '°F': 10 };
const DIFFERENCE_STEP = 0.5;

/** Typical, and no studio's own. */
const { pullReserve, coolPullReserve = pullReserve, settingReserve, bulgeReserve = 1 } = DEFAULT_LIMITS;
const RESERVES = [`${pullReserve}`, `${coolPullReserve}`, `${settingReserve}`, `${bulgeReserve}`] as const;

export function StudioLimits() {
  const units = useUnits();
  const { limits: own = {}, mixedLoads = false } = useStudio();
  const save = useSaveStudio();
  const [now, usual] = [limitsOf(own), limitsOf()];
  const bolder = bolderLimits(own);
  const set = (name: StudioLimit, value: number): void => {
    const { [name]: _was, ...others } = own;
    save({ limits: value === usual[name] ? others : { ...others, [name]: value } });
  };
  return (
    <View style={{ gap: space.medium }} testID="studio-limits">
      <Words size="label" tone="muted">
        {STUDIO_LIMITS_WORDS.about}
      </Words>
      {STUDIO_LIMIT_NAMES.map((name) => {
        const { of, name: called, least, most } = STUDIO_LIMITS[name];
        const { title, about, short } = STUDIO_LIMITS_WORDS.of[name];
        // Thick work is never opened hotter than usual work.
        const range = { least, most: name === 'openThick_C' ? now.open_C : most };
        const unit = of.unit(units);
        const step = name === 'setting_K' || name === 'even_K' ? DIFFERENCE_STEP : STEPS[unit];
        const stepped = (direction: 1 | -1): number =>
          Math.min(Math.max(of.kept(stepFrom(of.shown(now[name], units), direction, step), units), range.least), range.most);
        return (
          <View key={name}>
            <Words bold>{title}</Words>
            <Words size="label" tone="muted">
              {about}
            </Words>
            <Stepper
              key={unit}
              label={short}
              called={title}
              shown={of.written(now[name], units)}
              read={(typed) => readFigure(typed, { of, name: called, range }, units)}
              value={now[name]}
              stepped={stepped}
              onValue={(value) => set(name, value)}
              testID={`limit-${name}`}
            />
          </View>
        );
      })}
      <View>
        <Tick on={mixedLoads} title={STUDIO_LIMITS_WORDS.mixed} onPress={() => save({ mixedLoads: !mixedLoads })} testID="mixed-loads" />
        <Words size="label" tone="muted">
          {STUDIO_LIMITS_WORDS.mixedAbout}
        </Words>
      </View>
      <Words size="label" tone="muted">
        {STUDIO_LIMITS_WORDS.reserves(...RESERVES)}
      </Words>
      {bolder.length > 0 && (
        <Notice tone="warn" testID="limits-bolder">
          {STUDIO_LIMITS_WORDS.bolder(bolder.map((name) => STUDIO_LIMITS_WORDS.of[name].title.toLowerCase()).join(', '))}
        </Notice>
      )}
      {Object.keys(own).length > 0 && <Action kind="second" title={STUDIO_LIMITS_WORDS.asUsual} testID="limits-usual" onPress={() => save({ limits: {} })} />}
    </View>
  );
}
