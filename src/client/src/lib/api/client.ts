import createClient from 'openapi-fetch';
import type { components, paths } from './schema';
import { language } from '../messages/language';
import { asProblem, unreachable, type Problem } from './problem';

type Schemas = components['schemas'];
export type Amount = Schemas['AmountDto'];
export type Band = Schemas['BandDto'];
export type Catalogue = Schemas['CatalogueDto'];
export type Caution = Schemas['CautionDto'];
export type Dinner = Schemas['CookDto'];
export type DinnerLine = Schemas['CookLineDto'];
export type Dish = Schemas['DishDto'];
export type Soak = Dish['soak'];
export type Style = Dish['style'];
export type PulseTarget = NonNullable<Dish['pulseTarget']>;
export type RiceTarget = NonNullable<Dish['riceTarget']>;
export type SaltSchool = Kitchen['salt'];
export type CookerKind = NonNullable<Kitchen['vessels'][number]['cooker']>;
export type Trouble = Schemas['StoveTrouble']['trouble'];
export type Effect = Schemas['EffectDto'];
export type Reason = Schemas['ReasonDto'];
export type Found = Schemas['FoundDto'];
export type Join = Schemas['JoinDto'];
export type Kitchen = Schemas['KitchenDto'];
export type KitchenChange = Schemas['KitchenChange'];
export type MeasureOut = Schemas['MeasureOutDto'];
export type Plan = Schemas['PlanDto'];
export type Clash = Schemas['ClashDto'];
export type Pull = Required<Schemas['PullDto']>;
export type Pulled = Schemas['PulledDto'];
export type Compared = Schemas['ComparedDto'];
export type Difference = Schemas['DifferenceDto'];
export type StoveChange = Schemas['StoveChangeDto'];
export type Block = Schemas['BlockDto'];
export type WayFacts = Schemas['WayFactsDto'];
export type Extra = Schemas['ExtraDto'];
export type ExtraWish = Schemas['ExtraWishDto'];
export type Hands = Schemas['HandsDto'];
export type Slip = Schemas['SlipDto'];
export type SlipAnswer = Schemas['SlipAnswerDto'];
export type LineAnswer = Schemas['LineAnswerDto'];
export type WordAnswer = Schemas['WordAnswerDto'];
export type Notes = Schemas['NotesDto'];
export type NoteAnswers = Required<Schemas['NoteAnswersDto']>;
export type WayEvent = Schemas['WayEventDto'];
export type Series = Schemas['SeriesDto'];
export type Layer = Schemas['LayerDto'];
export type Pairing = Schemas['PairingDto'];
export type Device = Schemas['DeviceDto'];
export type Copies = Schemas['CopiesDto'];
export type Paired = Schemas['PairedDto'];
export type Step = Schemas['StepDto'];
export type StoveState = Schemas['StoveDto'];
export type StoveMoment = Schemas['StoveMomentDto'];
export type StoveDeed = Schemas['DeedDto'];
export type StoveLook = Schemas['LookForDto'];
export type StoveVisit = Schemas['VisitDto'];
export type StoveAfter = Schemas['AfterDto'];
export type StoveAnswers = Schemas['StoveAnswersDto'];
export type StoveAnswer = Schemas['StoveAnswerDto'];
export type StoveLine = Schemas['StoveLine'];
export type StoveReceipt = Schemas['StoveReceipt'];
export type StoveEntry = Omit<Partial<Schemas['StoveEntry']>, 'eventId' | 'occurredAt' | 'kind' | 'basedOn'> &
  Pick<Schemas['StoveEntry'], 'eventId' | 'occurredAt' | 'kind' | 'basedOn'>;
export type WayLine = Schemas['WayDto'];
export type VesselChange = Schemas['VesselChange'];
export type BurnerChange = Schemas['BurnerChange'];
export type FirstAnswers = Schemas['FirstAnswers'];
export type BagChange = Schemas['BagChange'];
export type DinnerLog = Schemas['DinnerLogDto'];
export type Verdict = Schemas['VerdictDto'];
export type PracticeScene = Schemas['PracticeSceneDto'];
export type PracticePot = Schemas['PracticePotDto'];
export type PracticeInside = Schemas['PracticeInsideDto'];
export type PracticeEnding = Schemas['PracticeEndingDto'];
export type PracticePoint = Schemas['PracticePointDto'];
export type PracticeReady = Schemas['PracticeReadyDto'];
export type PracticeLevel = Schemas['PracticeDinnerAsk']['level'];
export type PracticeStand = Schemas['PracticeDinnerDto'];
export type PracticePotSeen = Schemas['PracticePotSeenDto'];
export type PracticeEnd = Schemas['PracticeEndDto'];
export type PracticeTable = Schemas['PracticeTableDto'];
export type BagDinner = Schemas['BagDinnerDto'];

/** The kettle says its own sentences in the language of the page. */
const spoken = { 'accept-language': language };
const http = createClient<paths>({ headers: spoken });

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
    return { ok: false, problem: unreachable() };
  }
}

/** An answer without a body. */
async function bare(call: Promise<Reply<unknown>>): Promise<Answer<true>> {
  const { response, error } = await call.catch(() => ({ response: null, error: undefined }));
  if (!response) return { ok: false, problem: unreachable() };
  return response.ok ? { ok: true, value: true } : { ok: false, problem: asProblem(error, response.status) };
}

/** Reads the ways as they arrive, one JSON object a line. */
async function lines(
  body: Dish,
  signal: AbortSignal,
  told: (event: WayEvent) => void,
): Promise<Answer<true>> {
  try {
    const response = await fetch('/api/ways/stream', {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...spoken },
      body: JSON.stringify(body),
      signal,
    });
    if (!response.ok || !response.body) {
      return { ok: false, problem: asProblem(await response.json().catch(() => null), response.status) };
    }
    const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
    let rest = '';
    for (;;) {
      const { done, value } = await reader.read();
      rest += value ?? '';
      const whole = rest.split('\n');
      rest = whole.pop() ?? '';
      for (const line of whole) if (line) told(JSON.parse(line) as WayEvent);
      if (done) return { ok: true, value: true };
    }
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') throw error;
    return { ok: false, problem: unreachable() };
  }
}

const at = (id: string) => ({ params: { path: { id } } });

export const api = {
  kitchen: () => answer(http.GET('/api/kitchen')),
  changeKitchen: (body: KitchenChange) => answer(http.PUT('/api/kitchen', { body })),
  addVessel: (body: VesselChange) => answer(http.POST('/api/kitchen/vessels', { body })),
  changeVessel: (id: string, body: VesselChange) =>
    answer(http.PUT('/api/kitchen/vessels/{id}', { ...at(id), body })),
  addBag: (body: BagChange) => answer(http.POST('/api/kitchen/bags', { body })),
  changeBag: (id: string, body: BagChange) => answer(http.PUT('/api/kitchen/bags/{id}', { ...at(id), body })),
  removeBag: (id: string, version: number) =>
    answer(http.DELETE('/api/kitchen/bags/{id}', { params: { path: { id }, query: { version } } })),
  bagDinners: (id: string) => answer(http.GET('/api/kitchen/bags/{id}/dinners', at(id))),
  addBurner: (body: BurnerChange) => answer(http.POST('/api/kitchen/burners', { body })),
  changeBurner: (id: string, body: BurnerChange) =>
    answer(http.PUT('/api/kitchen/burners/{id}', { ...at(id), body })),
  /** @param keep It may go though dinners use it: they keep it. */
  removeBurner: (id: string, version: number, keep: boolean) =>
    answer(http.DELETE('/api/kitchen/burners/{id}', { params: { path: { id }, query: { version, keep } } })),
  firstRun: (body: FirstAnswers) => answer(http.POST('/api/kitchen/first-run', { body })),
  /** @param keep It may go though dinners use it: they keep it. */
  removeVessel: (id: string, version: number, keep: boolean) =>
    answer(http.DELETE('/api/kitchen/vessels/{id}', { params: { path: { id }, query: { version, keep } } })),
  catalogue: () => answer(http.GET('/api/catalogue')),
  findPulses: (q: string, signal: AbortSignal) =>
    answer(http.GET('/api/catalogue/pulses', { params: { query: { q } }, signal })),
  findRices: (q: string, signal: AbortSignal) =>
    answer(http.GET('/api/catalogue/rices', { params: { query: { q } }, signal })),
  effects: () => answer(http.GET('/api/effects')),
  reasons: () => answer(http.GET('/api/reasons')),
  plan: (body: Dish, signal: AbortSignal) => answer(http.POST('/api/plans', { body, signal })),
  ways: (body: Dish, signal: AbortSignal, told: (event: WayEvent) => void) => lines(body, signal, told),
  pulled: (body: Schemas['PullRequest']) => answer(http.POST('/api/plans/pulled', { body })),
  slip: (dish: Dish, slip: Slip) => answer(http.POST('/api/plans/slip', { body: { dish, slip } })),
  compare: (before: Dish, after: Dish, signal: AbortSignal) =>
    answer(http.POST('/api/plans/compare', { body: { before, after }, signal })),
  calendar: (body: Dish) => answer(http.POST('/api/plans/calendar', { body, parseAs: 'blob' })),
  line: (line: string, dish: Dish) => answer(http.POST('/api/line', { body: { line, dish } })),
  words: (phrase: string, dish: Dish, signal: AbortSignal) =>
    answer(http.POST('/api/words', { body: { phrase, dish }, signal })),
  notes: (text: string, answers: NoteAnswers, dish: Dish) =>
    answer(http.POST('/api/notes', { body: { text, answers, dish } })),
  extras: () => answer(http.GET('/api/catalogue/extras')),
  scenes: () => answer(http.GET('/api/practice')),
  practicePot: (scene: string, pot: number) =>
    answer(http.GET('/api/practice/{scene}/{pot}', { params: { path: { scene, pot } } })),
  practice: (scene: string, pot: number, choice: string) =>
    answer(http.POST('/api/practice/{scene}/{pot}', { params: { path: { scene, pot } }, body: { choice } })),
  practiceReady: () => answer(http.GET('/api/practice/dinners')),
  practiceDinner: (
    body: Omit<Schemas['PracticeDinnerAsk'], 'entries' | 'told'> & {
      entries: StoveEntry[];
      told: StoveEntry[];
    },
  ) => answer(http.POST('/api/practice/dinners', { body: body as Schemas['PracticeDinnerAsk'] })),
  pairCode: (pageToken: string) => answer(http.POST('/api/pair/code', { body: { pageToken } })),
  pair: (code: string, name: string) => bare(http.POST('/api/pair', { body: { code, name } })),
  copies: () => answer(http.GET('/api/copies')),
  copyNow: () => answer(http.POST('/api/copies')),
  backTo: (day: string) => bare(http.POST('/api/copies/{day}/restore', { params: { path: { day } } })),
  dinnerTable: () => answer(http.GET('/api/cooks.csv', { parseAs: 'blob' })),
  archive: () => answer(http.GET('/api/archive', { parseAs: 'blob' })),
  /** The file goes as it is: the server reads every byte of it. */
  bringBack: (file: Blob) =>
    bare(
      http.POST('/api/archive', {
        body: file as never,
        bodySerializer: (body: unknown) => body as Blob,
        headers: { 'Content-Type': 'application/json' },
      }),
    ),
  devices: () => answer(http.GET('/api/pair/devices')),
  removeDevice: (id: string) => bare(http.DELETE('/api/pair/devices/{id}', at(id))),
  stoves: () => answer(http.GET('/api/stove')),
  startStove: (id: string, body: Schemas['StoveStart']) =>
    answer(http.POST('/api/stove/{id}/start', { ...at(id), body })),
  stove: (id: string) => answer(http.GET('/api/stove/{id}', at(id))),
  tell: (id: string, entries: StoveEntry[]) =>
    answer(
      http.POST('/api/stove/{id}/entries', {
        ...at(id),
        body: { entries: entries as Schemas['StoveEntry'][] },
      }),
    ),
  late: (id: string) => answer(http.GET('/api/stove/{id}/late', at(id))),
  lookInside: (id: string) => answer(http.GET('/api/stove/{id}/look', at(id))),
  trouble: (id: string, body: Schemas['StoveTrouble']) =>
    answer(http.POST('/api/stove/{id}/trouble', { ...at(id), body })),
  finishStove: (id: string, body: Schemas['CookMark']) =>
    answer(http.POST('/api/stove/{id}/finish', { ...at(id), body })),
  /** A page of kept dinners, the latest hour first; of those that have these words, where any are given. */
  dinners: (after: string | null, take = 50, find = '') =>
    answer(
      http.GET('/api/cooks', {
        params: { query: { take, ...(after ? { after } : {}), ...(find ? { find } : {}) } },
      }),
    ),
  renameDinner: (id: string, body: Schemas['CookTitle']) =>
    answer(http.PUT('/api/cooks/{id}/title', { ...at(id), body })),
  dinner: (id: string) => answer(http.GET('/api/cooks/{id}', at(id))),
  saveDinner: (id: string, body: Schemas['CookChange']) =>
    answer(http.POST('/api/cooks/{id}', { ...at(id), body })),
  changeDinner: (id: string, body: Schemas['CookChange']) =>
    answer(http.PUT('/api/cooks/{id}', { ...at(id), body })),
  deleteDinner: (id: string, body: Schemas['CookMark']) =>
    answer(http.POST('/api/cooks/{id}/deletion', { ...at(id), body })),
  restoreDinner: (id: string, body: Schemas['CookMark']) =>
    answer(http.POST('/api/cooks/{id}/restoration', { ...at(id), body })),
  log: (id: string) => answer(http.GET('/api/cooks/{id}/log', at(id))),
  judge: (id: string, body: Schemas['VerdictChange']) =>
    answer(http.PUT('/api/cooks/{id}/verdict', { ...at(id), body })),
  leaveOut: (id: string, body: Schemas['CookMark']) =>
    answer(http.POST('/api/cooks/{id}/leaving-out', { ...at(id), body })),
  count: (id: string, body: Schemas['CookMark']) =>
    answer(http.POST('/api/cooks/{id}/counting', { ...at(id), body })),
};
