import type { Plan, Reason, Step } from '../../api/client';

/** Where the matter of a reason comes up: at a step, beside a caution. */
const ofSteps: Partial<Record<Step['kind'], Reason['id']>> = {
  soak: 'soak_why',
  quick_soak: 'soak_quick',
  drain: 'drain_chill',
  chill: 'drain_chill',
  light: 'light_early',
  boil: 'boil_over',
  boil_up: 'hard_boil',
  lock: 'pressure_half',
  lock_boiled: 'pressure_half',
  first_whistle: 'whistles',
  hold_over: 'pressure_release',
  slow_starts: 'slow_cooker',
  look: 'look_clock',
  join: 'jug',
  seal: 'lid',
  heat_off: 'off_heat',
  rice_covered: 'rice_rest',
  rice_bowl: 'bowl_above',
};

type CautionCode = Plan['forecast']['cautions'][number]['code'];
const ofCautions: Partial<Record<CautionCode, Reason['id']>> = {
  'lectin.hard_boil': 'hard_boil',
  'lectin.not_boiled': 'hard_boil',
  'soak.too_long': 'soak_long',
  slow_cooker: 'slow_cooker',
  'cooker.fill': 'pressure_half',
  'cooker.release': 'pressure_release',
  boil_over: 'boil_over',
  'hold.too_cool': 'cool_fast',
  'soda.too_much': 'soak_soda',
  soda: 'soak_soda',
  cooked_rice: 'reheat_rice',
  keep_rice: 'reheat_rice',
  keep_pulses: 'cool_fast',
};

export const reasonOfStep = (kind: Step['kind']): Reason['id'] | null => ofSteps[kind] ?? null;
export const reasonOfCaution = (code: CautionCode): Reason['id'] | null => ofCautions[code] ?? null;
