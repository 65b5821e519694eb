/** The outline of a seed as it lies on the board, in a box of 32 by 24. */
export type SeedShape = 'kidney' | 'oval' | 'round' | 'beaked' | 'disc' | 'half' | 'grain' | 'drop';

/** How a seed looks: its outline, how large it is beside a common bean, its colour dry and its colour when tender. */
export type Seed = { shape: SeedShape; size: number; raw: string; done: string };

export const outlines: Record<SeedShape, string> = {
  kidney:
    'M2 12C2 5.500 8 2 16 2s14 3.500 14 10c0 5.500-4 9.500-8.500 9.500-2.500 0-3.500-1.200-5.500-1.200s-3 1.200-5.500 1.200C6 21.500 2 17.500 2 12z',
  oval: 'M2.500 12C2.500 6.500 8.500 3.500 16 3.500S29.500 6.500 29.500 12 23.500 20.500 16 20.500 2.500 17.500 2.500 12z',
  round: 'M16 1.800a10.200 10.200 0 1 1 0 20.400a10.200 10.200 0 1 1 0-20.400z',
  beaked:
    'M15 2.500c4.500-.5 7.500 1 9 3.500 2-.8 4-.3 5.500 1.200-1.800.4-3 1.500-3.300 3C26.800 16.500 22 22 15 22 9 22 4.500 18 4.500 12.300S9 3.200 15 2.500z',
  disc: 'M1.500 12c4-5.500 9-7.500 14.500-7.500S26.500 6.500 30.500 12c-4 5.500-9 7.500-14.500 7.500S5.500 17.500 1.500 12z',
  half: 'M3 17.500C3 9 9 4 16 4s13 5 13 13.500c0 1.800-1.200 2.500-3 2.500H6c-1.800 0-3-.7-3-2.500z',
  grain: 'M2 12c3-4 8-5.500 14-5.500S27 8 30 12c-3 4-8 5.500-14 5.500S5 16 2 12z',
  drop: 'M16 2c4.500 6 8 9.500 8 13.500a8 8 0 0 1-16 0C8 11.500 11.500 8 16 2z',
};

const pulses: Record<string, Seed> = {
  kidney_red: { shape: 'kidney', size: 1.15, raw: '#8f3a35', done: '#7a241f' },
  cannellini: { shape: 'kidney', size: 1.1, raw: '#f3ead2', done: '#dcc48d' },
  small_red: { shape: 'oval', size: 0.85, raw: '#a34a3c', done: '#842f26' },
  great_northern: { shape: 'oval', size: 0.95, raw: '#f4ecd8', done: '#dcc694' },
  navy: { shape: 'oval', size: 0.75, raw: '#f4eddb', done: '#dfca9a' },
  pinto: { shape: 'oval', size: 1, raw: '#e0b894', done: '#b97a50' },
  black: { shape: 'oval', size: 0.85, raw: '#4a4350', done: '#2f2732' },
  borlotti: { shape: 'oval', size: 1.1, raw: '#ddb59c', done: '#a86a52' },
  canary: { shape: 'oval', size: 1, raw: '#eed77a', done: '#cfa544' },
  flageolet: { shape: 'kidney', size: 0.85, raw: '#d5dfb4', done: '#b0bd7c' },
  pink: { shape: 'oval', size: 0.9, raw: '#dda58e', done: '#b97058' },
  runner_large: { shape: 'kidney', size: 1.35, raw: '#f3e9d3', done: '#d8bf8c' },
  tepary: { shape: 'oval', size: 0.75, raw: '#d9b886', done: '#a9803f' },
  lima_large: { shape: 'kidney', size: 1.35, raw: '#f2ebd0', done: '#d9c68a' },
  lima_baby: { shape: 'kidney', size: 0.95, raw: '#e9ebcc', done: '#ccd096' },
  fava_whole: { shape: 'kidney', size: 1.3, raw: '#c9a472', done: '#8a6133' },
  fava_split: { shape: 'half', size: 1.1, raw: '#efdf9c', done: '#d4b65a' },
  chickpea: { shape: 'beaked', size: 1.05, raw: '#efd9a6', done: '#cf9f52' },
  chickpea_desi: { shape: 'beaked', size: 0.85, raw: '#a9774a', done: '#75481f' },
  chana_dal: { shape: 'half', size: 0.8, raw: '#f0c75c', done: '#d29b27' },
  black_eyed_pea: { shape: 'kidney', size: 0.9, raw: '#f1e5cb', done: '#cfb07b' },
  cowpea_red_brown: { shape: 'kidney', size: 0.8, raw: '#b4704f', done: '#874227' },
  adzuki: { shape: 'oval', size: 0.7, raw: '#98423f', done: '#732b2a' },
  mung_whole: { shape: 'oval', size: 0.6, raw: '#8da35a', done: '#67793a' },
  mung_split_hulled: { shape: 'half', size: 0.55, raw: '#f4db80', done: '#dcb341' },
  mung_split_skin: { shape: 'half', size: 0.55, raw: '#b7bd6f', done: '#8a8e43' },
  urad_whole: { shape: 'oval', size: 0.6, raw: '#4c4740', done: '#302b26' },
  urad_split_hulled: { shape: 'half', size: 0.55, raw: '#f3ecd9', done: '#dcc898' },
  pigeon_pea: { shape: 'round', size: 0.75, raw: '#c99b6a', done: '#976435' },
  toor_split: { shape: 'half', size: 0.65, raw: '#f1cd6a', done: '#d6a12f' },
  soybean: { shape: 'round', size: 0.9, raw: '#eedfae', done: '#d0b266' },
  soybean_black: { shape: 'round', size: 0.9, raw: '#49454b', done: '#2e2a30' },
  pea_whole_green: { shape: 'round', size: 0.85, raw: '#a9bf7f', done: '#7f9550' },
  pea_marrowfat: { shape: 'round', size: 1, raw: '#b5c489', done: '#889a55' },
  pea_white_dry: { shape: 'round', size: 0.85, raw: '#efdfae', done: '#d4b86c' },
  split_pea_green: { shape: 'half', size: 0.75, raw: '#a5bb72', done: '#7c9247' },
  split_pea_yellow: { shape: 'half', size: 0.75, raw: '#f0cf6c', done: '#d6a837' },
  lentil_brown: { shape: 'disc', size: 0.75, raw: '#b08f62', done: '#7f5d32' },
  lentil_green: { shape: 'disc', size: 0.85, raw: '#a9a56c', done: '#787340' },
  lentil_french: { shape: 'disc', size: 0.6, raw: '#6d7566', done: '#4a5142' },
  lentil_black: { shape: 'disc', size: 0.55, raw: '#474448', done: '#2c292d' },
  lentil_red_split: { shape: 'half', size: 0.6, raw: '#ee9b6c', done: '#dba24c' },
  lentil_yellow_split: { shape: 'half', size: 0.6, raw: '#f2cf68', done: '#d9ab38' },
  moth_bean: { shape: 'oval', size: 0.55, raw: '#b78a58', done: '#855a2b' },
  horse_gram: { shape: 'disc', size: 0.65, raw: '#a2694a', done: '#704026' },
  lablab: { shape: 'oval', size: 1, raw: '#8d6a52', done: '#5f422d' },
  rice_bean: { shape: 'oval', size: 0.65, raw: '#c18452', done: '#93572a' },
  bambara: { shape: 'round', size: 1, raw: '#dfc5a2', done: '#b08a58' },
  lupin_sweet: { shape: 'round', size: 1.05, raw: '#f2e5b8', done: '#dcc067' },
};

const rices: Record<string, Pick<Seed, 'raw' | 'done'>> = {
  brown_long: { raw: '#d9c193', done: '#c3a065' },
  brown_basmati: { raw: '#d9c193', done: '#c3a065' },
  brown_short: { raw: '#d9c193', done: '#c3a065' },
  red: { raw: '#b56f58', done: '#974a37' },
  black: { raw: '#56495a', done: '#3b2e40' },
  wild: { raw: '#5d4c3d', done: '#41342a' },
};

const whiteRice: Seed = { shape: 'grain', size: 0.8, raw: 'var(--rice-raw)', done: 'var(--rice-done)' };
const anyPulse: Seed = { shape: 'kidney', size: 1, raw: 'var(--pulse-raw)', done: 'var(--pulse-done)' };
const extra: Seed = { shape: 'drop', size: 0.8, raw: 'var(--extra-raw)', done: 'var(--extra-done)' };

/** How a seed looks that the catalogue calls `id`: `seedOf('pulse', 'chickpea')`. One that is not known looks like a bean. */
export function seedOf(kind: string, id: string): Seed {
  if (kind === 'rice') return { ...whiteRice, ...rices[id] };
  if (kind === 'extra') return extra;
  return pulses[id] ?? anyPulse;
}

export const knownPulses = Object.keys(pulses);

/** The seed's colour on the way from dry (0) to tender (1). */
export const colourOf = (seed: Seed, share: number): string =>
  `color-mix(in oklab, ${seed.done} ${Math.round(Math.min(1, Math.max(0, share)) * 100)}%, ${seed.raw})`;
