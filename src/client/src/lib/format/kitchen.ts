/** Burners by what reaches the pot at full flame, watts. */
export const burnerSizes = { small: 800, middle: 1200, large: 1500, largest: 2200 } as const;

export type BurnerSize = keyof typeof burnerSizes;

/** The size that is nearest: `burnerSize(900)` → `'small'`. */
export function burnerSize(watts: number): BurnerSize {
  const far = (size: BurnerSize) => Math.abs(burnerSizes[size] - watts);
  return (Object.keys(burnerSizes) as BurnerSize[]).reduce((best, size) =>
    far(size) < far(best) ? size : best,
  );
}
