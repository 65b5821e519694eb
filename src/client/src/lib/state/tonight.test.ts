import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Dinner, Dish, Kitchen, Plan } from '../api/client';
import type { Alternative } from '../api/problem';
import type { Answer } from '../api/client';

const plan = vi.hoisted(() => vi.fn());
const slip = vi.hoisted(() => vi.fn());
vi.mock('../api/client', () => ({ api: { plan, slip } }));

const { Tonight } = await import('./tonight.svelte');

const kitchen = {
  nowLocal: '2026-11-24T18:00',
  vessels: [{ id: 'small' }, { id: 'blue' }],
  burners: [{ id: 'front' }],
} as Kitchen;
const planned = (title: string): Answer<Plan> => ({
  ok: true,
  value: { title, measureOut: { pulseGrams: 300, riceGrams: 200 } } as Plan,
});

beforeEach(() => {
  localStorage.clear();
  plan.mockReset();
  plan.mockResolvedValue(planned('first'));
});

describe('tonight', () => {
  it('begins with tomorrow at seven in a pot of this kitchen', async () => {
    const tonight = new Tonight();
    await tonight.begin(kitchen);
    expect(tonight.dish.serveAtLocal).toBe('2026-11-25T19:00');
    expect(tonight.dish.vesselId).toBe('blue');
    expect(tonight.plan?.title).toBe('first');
  });

  it('finds the draft again after a reload, but not a pot or an hour that is gone', async () => {
    const tonight = new Tonight();
    await tonight.begin(kitchen);
    await tonight.change({ pulseId: 'adzuki', people: 7, serveAtLocal: '2026-11-26T18:30' });
    const again = new Tonight();
    await again.begin({ ...kitchen, nowLocal: '2026-11-27T09:00', vessels: kitchen.vessels.slice(0, 1) });
    expect(again.dish.pulseId).toBe('adzuki');
    expect(again.dish.people).toBe(7);
    expect(again.dish.serveAtLocal).toBe('2026-11-28T19:00');
    expect(again.dish.vesselId).toBe('small');
  });

  it('shows only the answer to the last question', async () => {
    const tonight = new Tonight();
    let late: (answer: Answer<Plan>) => void = () => {};
    plan.mockReturnValueOnce(new Promise<Answer<Plan>>((resolve) => (late = resolve)));
    const slow = tonight.change({ people: 2 });
    plan.mockResolvedValueOnce(planned('second'));
    await tonight.change({ people: 3 });
    late(planned('stale'));
    await slow;
    expect(tonight.plan?.title).toBe('second');
  });

  it('keeps the last plan while the kettle is away or a field is faulty, and drops it when the dish is refused', async () => {
    const tonight = new Tonight();
    await tonight.begin(kitchen);
    plan.mockResolvedValueOnce({
      ok: false,
      problem: { status: 0, code: 'client.unreachable', title: '', detail: '' },
    });
    await tonight.change({ people: 5 });
    expect(tonight.plan?.title).toBe('first');
    expect(tonight.dish.people).toBe(5);
    const errors = [
      { code: 'request.out_of_range', field: 'pulse.value', detail: 'From 20 to 5000, please.' },
    ];
    plan.mockResolvedValueOnce({
      ok: false,
      problem: { status: 400, code: 'x', title: '', detail: '', errors },
    });
    await tonight.change({ people: 6 });
    expect([tonight.plan?.title, tonight.refused]).toEqual(['first', false]);
    expect(tonight.fault('pulse')).toBe('From 20 to 5000, please.');
    expect(tonight.fault('rice')).toBeNull();
    plan.mockResolvedValueOnce({
      ok: false,
      problem: { status: 422, code: 'plan.too_soon', title: '', detail: '' },
    });
    await tonight.change({ people: 7 });
    expect([tonight.plan, tonight.refused]).toEqual([null, true]);
  });

  it('mends a slip as the server says, and takes it back', async () => {
    const tonight = new Tonight();
    await tonight.begin(kitchen);
    slip.mockResolvedValueOnce({
      ok: true,
      value: {
        dish: { ...tonight.dish, soak: 'none' },
        note: 'Straight from the bag',
        plan: { title: 'mended' },
        differences: [{ code: 'soak', worse: false, amount: null, before: 'overnight', after: 'none' }],
      },
    });
    await tonight.slip({ kind: 'soak_forgotten', minutes: null, people: null, what: null });
    expect(tonight.dish.soak).toBe('none');
    expect(tonight.plan?.title).toBe('mended');
    expect(tonight.mended?.note).toBe('Straight from the bag');
    tonight.unslip();
    expect(tonight.dish.soak).toBe('overnight');
    expect(tonight.mended).toBeNull();
  });

  it('leaves dish and plan alone when a slip cannot be mended, and says why', async () => {
    const tonight = new Tonight();
    await tonight.begin(kitchen);
    slip.mockResolvedValueOnce({
      ok: false,
      problem: { status: 422, code: 'plan.pot_too_small', title: 'x', detail: 'y' },
    });
    const problem = await tonight.slip({ kind: 'smaller_pot', minutes: null, people: null, what: 'small' });
    expect(problem?.code).toBe('plan.pot_too_small');
    expect(tonight.plan?.title).toBe('first');
    expect(tonight.dish.vesselId).toBe('blue');
  });

  it('drops a pull as soon as anything else changes', async () => {
    const tonight = new Tonight();
    await tonight.begin(kitchen);
    const pull = { table: 0, light: -10, join: 0, seal: 0, flameOff: 0 };
    await tonight.change({ pull });
    expect(tonight.dish.pull).toEqual(pull);
    await tonight.change({ people: 5 });
    expect(tonight.dish.pull).toBeNull();
  });

  it('keeps the rice in the pot where pulses cannot leave their liquid for it', async () => {
    const tonight = new Tonight();
    await tonight.begin(kitchen);
    const after = async (change: Partial<Dish>) => {
      await tonight.change({ riceJoin: 'in_the_liquor', method: 'open_pot', others: [], ...change });
      return tonight.dish.riceJoin;
    };
    expect(await after({})).toBe('in_the_liquor');
    expect(await after({ method: 'pressure' })).toBe('in_the_pot');
    expect(await after({ others: [{ pulseId: 'urad_whole' }] })).toBe('in_the_pot');
  });

  it('takes up an offer of less with the amounts as they stood', async () => {
    const tonight = new Tonight();
    await tonight.begin(kitchen);
    tonight.setAmounts(300, 200);
    await tonight.take({
      kind: 'amount',
      scale: 0.5,
      serveAtLocal: null,
      vesselId: null,
      vesselName: null,
      soak: null,
      method: null,
      riceVesselId: null,
      pulseTarget: null,
    });
    expect(tonight.dish.style).not.toBe('soup');
    expect(tonight.dish.pulse).toEqual({ value: 150, unit: 'g' });
    expect(tonight.dish.rice).toEqual({ value: 100, unit: 'g' });
  });

  it('keeps how the pulses come for those that come so, and asks for none that came with others', async () => {
    const tonight = new Tonight();
    await tonight.begin(kitchen);
    // A line brings both at once.
    await tonight.change({ pulseId: 'pea_whole_green', pulseState: 'frozen_green' });
    expect(tonight.dish.pulseState).toBe('frozen_green');
    await tonight.change({ people: 3 });
    expect(tonight.dish.pulseState).toBe('frozen_green');
    await tonight.change({ pulseId: 'chickpea' });
    expect(tonight.dish.pulseState).toBeNull();
    await tonight.change({
      pulseState: 'half_cooked',
      others: [{ pulseId: 'pinto', amount: null, target: null }],
    });
    expect(tonight.dish.pulseState).toBeNull();
  });

  it('begins another dish at the same hour in another pot, and says of a kept one which it is', async () => {
    const two = {
      ...kitchen,
      vessels: [
        { id: 'small', brimMillilitres: 1500 },
        { id: 'blue', brimMillilitres: 4000 },
        { id: 'wide', brimMillilitres: 7000 },
      ],
      burners: [{ id: 'front' }, { id: 'back' }],
    } as Kitchen;
    const tonight = new Tonight();
    await tonight.begin(two);
    tonight.open = { id: 'kept' } as Dinner;
    expect(tonight.asked.keptAs).toBe('kept');
    await tonight.change({ serveAtLocal: '2026-11-26T18:30', burnerId: 'front' });
    await tonight.beginBeside(two);
    expect(tonight.dish).toMatchObject({
      serveAtLocal: '2026-11-26T18:30',
      vesselId: 'wide',
      burnerId: 'back',
    });
    expect(tonight.asked.keptAs).toBeNull();
  });

  it('takes a place that is offered with its pot, its burner and the pot of the rice', async () => {
    const tonight = new Tonight();
    await tonight.begin(kitchen);
    await tonight.take({
      kind: 'place',
      vesselId: 'small',
      burnerId: 'back',
      riceVesselId: 'blue',
    } as Alternative);
    expect(tonight.dish).toMatchObject({ vesselId: 'small', burnerId: 'back', riceVesselId: 'blue' });
  });
});
