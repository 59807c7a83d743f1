/**
 * The units of a form. A bare number means the unit it was typed in, whatever this or another device sets for the studio
 * meanwhile: until something is typed the form follows the studio, from then on it keeps its units until it is closed.
 */
import type { Units } from '@torvin/core/units';
import { type ComponentType, Fragment, createContext, useContext, useMemo, useState } from 'react';
import { useStudioUnits } from './studio';

export interface HeldUnits {
  units: Units;
  /** Something has been typed or chosen: the units stay. */
  touch(): void;
  /** Fills the form again in the units of a draft; the draft is put in once it has been. */
  adopt(units: Units): void;
  /** Whether a draft waits to be put in. */
  adopting: boolean;
  adopted(): void;
}

const Context = createContext<HeldUnits | null>(null);

export const isSameUnits = (one: Units, other: Units): boolean =>
  one.temperature === other.temperature && one.length === other.length && one.mass === other.mass;

/** Null outside a form. */
export const useFormUnits = (): HeldUnits | null => useContext(Context);

/** What is read and written here: the units of the form it is in, else the studio's. */
export function useUnits(): Units {
  const studio = useStudioUnits();
  return useFormUnits()?.units ?? studio;
}

/** Makes a form of a component: everything in it reads and writes in one set of units. */
export function inFormUnits<Props extends object>(Form: ComponentType<Props>): ComponentType<Props> {
  function InFormUnits(props: Props) {
    const studio = useStudioUnits();
    const [{ units, isTouched, adopting }, set] = useState({ units: studio, isTouched: false, adopting: false });
    if (!isTouched && !isSameUnits(units, studio)) set({ units: studio, isTouched, adopting });
    const held = useMemo<HeldUnits>(
      () => ({
        units,
        adopting,
        touch: () => set((now) => (now.isTouched ? now : { ...now, isTouched: true })),
        adopt: (others) => set({ units: others, isTouched: true, adopting: true }),
        adopted: () => set((now) => ({ ...now, adopting: false })),
      }),
      [units, adopting],
    );
    return (
      <Context.Provider value={held}>
        <Fragment key={`${units.temperature} ${units.length} ${units.mass}`}>
          <Form {...props} />
        </Fragment>
      </Context.Provider>
    );
  }
  return InFormUnits;
}
