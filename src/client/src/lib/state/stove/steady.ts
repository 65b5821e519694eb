/** So far a clock is set back when the kettle's word comes and this screen had counted ahead, ms. */
const counted = 60_000;

/** When something happened that was told after something else: never before it, though the clock was set back in between. */
export const steady = (at: number, last: number): number => (last > at && last - at <= counted ? last : at);
