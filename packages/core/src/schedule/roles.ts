import type { Role } from '../kiln/segment';

export const ROLE_NAMES: Record<Role, string> = {
  dry: 'Dry',
  burnOff: 'Burn off',
  warmUp: 'Warm up',
  climb: 'Climb',
  squeeze: 'Squeeze',
  settle: 'Settle',
  work: 'Work',
  drop: 'Drop and soak',
  firstCool: 'First cool',
  secondCool: 'Then',
  lastCool: 'Last',
};
