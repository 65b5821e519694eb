import createClient from 'openapi-fetch';
import type { components, paths } from './schema';
import { asProblem, unreachable, type Problem } from './problem';

type Schemas = components['schemas'];
export type Amount = Schemas['AmountDto'];
export type Band = Schemas['BandDto'];
export type Catalogue = Schemas['CatalogueDto'];
export type Caution = Schemas['CautionDto'];
export type Dinner = Schemas['CookDto'];
export type DinnerLine = Schemas['CookLineDto'];
export type Dish = Schemas['DishDto'];
export type Effect = Schemas['EffectDto'];
export type Found = Schemas['FoundDto'];
export type Join = Schemas['JoinDto'];
export type Kitchen = Schemas['KitchenDto'];
export type KitchenChange = Schemas['KitchenChange'];
export type MeasureOut = Schemas['MeasureOutDto'];
export type Plan = Schemas['PlanDto'];
export type Series = Schemas['SeriesDto'];
export type Step = Schemas['StepDto'];
export type WayLine = Schemas['WayDto'];
export type VesselChange = Schemas['VesselChange'];

const http = createClient<paths>();

/** An answer or the reason why there is none; never throws, but for an abort. */
export type Answer<T> = { ok: true; value: T } | { ok: false; problem: Problem };

type Reply<T> = { data?: T; error?: unknown; response: Response };

async function answer<T>(call: Promise<Reply<T>>): Promise<Answer<T>> {
  try {
    const { data, error, response } = await call;
    return response.ok && data !== undefined
      ? { ok: true, value: data }
      : { ok: false, problem: asProblem(error, response.status) };
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    return { ok: false, problem: unreachable };
  }
}

const at = (id: string) => ({ params: { path: { id } } });

export const api = {
  kitchen: () => answer(http.GET('/api/kitchen')),
  changeKitchen: (body: KitchenChange) => answer(http.PUT('/api/kitchen', { body })),
  addVessel: (body: VesselChange) => answer(http.POST('/api/kitchen/vessels', { body })),
  changeVessel: (id: string, body: VesselChange) =>
    answer(http.PUT('/api/kitchen/vessels/{id}', { ...at(id), body })),
  removeVessel: (id: string) => answer(http.DELETE('/api/kitchen/vessels/{id}', at(id))),
  catalogue: () => answer(http.GET('/api/catalogue')),
  findPulses: (q: string, signal: AbortSignal) =>
    answer(http.GET('/api/catalogue/pulses', { params: { query: { q } }, signal })),
  findRices: (q: string, signal: AbortSignal) =>
    answer(http.GET('/api/catalogue/rices', { params: { query: { q } }, signal })),
  effects: () => answer(http.GET('/api/effects')),
  plan: (body: Dish, signal: AbortSignal) => answer(http.POST('/api/plans', { body, signal })),
  ways: (body: Dish, signal: AbortSignal) => answer(http.POST('/api/ways', { body, signal })),
  dinners: () => answer(http.GET('/api/cooks')),
  dinner: (id: string) => answer(http.GET('/api/cooks/{id}', at(id))),
  saveDinner: (id: string, body: Schemas['CookChange']) =>
    answer(http.POST('/api/cooks/{id}', { ...at(id), body })),
  changeDinner: (id: string, body: Schemas['CookChange']) =>
    answer(http.PUT('/api/cooks/{id}', { ...at(id), body })),
  deleteDinner: (id: string, body: Schemas['CookMark']) =>
    answer(http.POST('/api/cooks/{id}/deletion', { ...at(id), body })),
  restoreDinner: (id: string, body: Schemas['CookMark']) =>
    answer(http.POST('/api/cooks/{id}/restoration', { ...at(id), body })),
};
