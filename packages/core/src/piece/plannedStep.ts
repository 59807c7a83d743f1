/** A firing as it is planned: how the piece stands in the kiln, and what it is fired for. */
import type { FormShape } from '../form/shape';
import type { InKiln } from '../kiln/inside';
import type { Look } from '../look/names';
import type { Shaping } from '../look/shaping';
import type { School } from '../schedule/firingCase';
import type { SetUpKind, Wet } from '../schedule/setups';
import type { AnyStep } from './handStep';

/** A form of the studio's own as it was when the firing was planned in it: when its record changes later, what was fired in it does not. */
export interface HeldForm {
  id: string;
  name: string;
  shape: FormShape;
  /** Of a former: how far down the edge is to come; as far as it hangs where left out. */
  drop_m?: number;
}

/** How the piece stands in the kiln for one firing. */
export interface PlannedSetUp {
  kind: SetUpKind;
  /** Fibre paper of the usual kind between the glass and what is under it. */
  paper: boolean;
  /** What has to dry or burn away first; nothing where left out. */
  wet?: Wet;
  /** The mould's hollow or the former's overhang, as it was typed, where the glass is to take its shape. */
  shaping?: Shaping;
  /** The studio's own form in which or on which it stands; what shapes the glass then follows from it and from the blank. */
  form?: HeldForm;
  /** The studio's own kiln shelf under that, where glass comes to lie on it: within a dam, or under a grid. */
  shelf?: HeldForm;
}

/** Where it lies in a kiln, put there with others; in another kiln it says nothing. turned: by a quarter. */
export interface HeldPlace extends InKiln {
  kilnId: string;
  turned: boolean;
  /** What its load stored in all, J/K; left out where the kiln's full power was not known. */
  load_J_K?: number;
}

/** A firing. */
export interface PlannedStep extends AnyStep {
  kind: 'fire';
  look: Look;
  setup: PlannedSetUp;
  kilnId: string;
  controllerId: string;
  school: School;
  /** What of the studio's own is between glass and shelf: it stands before paper, which then tells of nothing. */
  releaseId?: string;
  /** The schedule in use, and the computed one it goes back to. */
  scheduleId: string | null;
  computedId: string | null;
  place?: HeldPlace;
  /** What was measured when it was opened, where it did not come out as planned: how far a shape has come down. */
  measured?: { down_m: number };
}
