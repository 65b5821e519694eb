<script lang="ts">
  import { within } from '../../messages/figures';
  import {
    api,
    type Catalogue,
    type Dish,
    type Extra,
    type Kitchen,
    type PulseTarget,
    type RiceTarget,
  } from '../../api/client';
  import { centimetres } from '../../format/amounts';
  import { addDays, dayName, hourSaid, parseTime } from '../../format/time';
  import { bagName } from '../../format/pace';
  import { capital, pulseTargets, riceTargets, styles } from '../../format/words';
  import { say } from '../../messages/say';
  import type { Tonight } from '../../state/tonight.svelte';
  import AmountField from '../../ui/AmountField.svelte';
  import Choice from '../../ui/Choice.svelte';
  import ExtraPicker from './ExtraPicker.svelte';
  import NamePicker from '../../ui/NamePicker.svelte';
  import { onMount } from 'svelte';
  import MoreWishes from './MoreWishes.svelte';
  import OtherPulses from './OtherPulses.svelte';
  import SayLine from './SayLine.svelte';
  import SelectField from '../../ui/SelectField.svelte';
  import SoakChoice from './SoakChoice.svelte';

  type Props = { tonight: Tonight; kitchen: Kitchen; catalogue: Catalogue };
  let { tonight, kitchen, catalogue }: Props = $props();

  let extras = $state.raw<Extra[]>([]);
  onMount(async () => {
    const answer = await api.extras();
    if (answer.ok) extras = [...answer.value].sort((a, b) => a.name.localeCompare(b.name));
  });

  const noRice = 'none';
  /** In all its bags, g. */
  const leftOf = (id: string | null | undefined) =>
    kitchen.bags.filter((b) => b.foodId === id).reduce((sum, b) => sum + b.grams, 0);
  /** Bags to choose from, where there are several. */
  const bags = $derived(
    kitchen.bags.filter((b) => b.foodId === dish.pulseId && (b.grams > 0 || b.id === dish.bagId)),
  );
  /** What is left on the shelf is offered where something is. */
  const unitsFor = (id: string | null | undefined) => [
    { id: 'plate', name: say('amount.plates') },
    { id: 'packet', name: say('amount.bags') },
    ...(leftOf(id) > 0 ? [{ id: 'shelf', name: say('amount.all_left') }] : []),
  ];
  const dish = $derived(tonight.dish);
  const pulse = $derived(catalogue.pulses.find((p) => p.id === dish.pulseId));
  const rice = $derived(catalogue.rices.find((r) => r.id === dish.riceId));
  const cookers = $derived(kitchen.vessels.filter((v) => v.cooker && v.cooker !== 'rice'));
  /** A pot that is gone from the kitchen stays with the dinner that uses it. */
  const pots = $derived([
    ...kitchen.vessels.filter((v) => !v.cooker || v.id === dish.vesselId),
    ...kitchen.removedVessels.filter((v) => v.id === dish.vesselId),
  ]);
  /** Cooked already, and only warmed. */
  const cookedFrom = ['tin', 'fridge', 'freezer'] as const satisfies Dish['cookedFrom'][];
  const methodOf = (id: string): Partial<Dish> => {
    // A bowl above stands only in a pressure cooker.
    const rice = dish.riceVesselId === 'bowl_above' ? { riceVesselId: null } : {};
    const cooker = cookers.find((c) => c.id === id);
    const from = cookedFrom.find((k) => k === id);
    if (from) return { method: 'cooked', cookedFrom: from, cookerId: null, soak: 'none', ...rice };
    if (!cooker) return { method: 'open_pot', cookerId: null, ...rice };
    if (cooker.cooker === 'slow') return { method: 'slow_cooker', cookerId: id, ...rice };
    return { method: 'pressure', cookerId: id };
  };
  const vessel = $derived(pots.find((v) => v.id === dish.vesselId));
  const today = $derived(kitchen.nowLocal.slice(0, 10));
  const day = $derived(dish.serveAtLocal.slice(0, 10));
  const days = $derived(
    [...new Set([...Array.from({ length: 8 }, (_, i) => addDays(today, i)), day])].filter(Boolean).sort(),
  );

  /** Where a slower pulse leads, this one stands among the others. */
  const own = $derived(tonight.plan?.measureOut.others.find((o) => o.pulseId === dish.pulseId));
  /** The amount as it was said, or as the plan answered it when nobody said one. */
  const pulseAmount = $derived(
    dish.pulse ?? { value: own?.grams ?? tonight.plan?.measureOut.pulseGrams ?? 0, unit: 'g' },
  );
  const riceAmount = $derived(dish.rice ?? { value: tonight.plan?.measureOut.riceGrams ?? 0, unit: 'g' });

  /** More eaters, more of everything that was weighed; what nobody weighed is the usual amount again. */
  function people(count: number) {
    const factor = count / Math.max(1, dish.people);
    const scaled = <T extends { value: number; unit: string } | null | undefined>(a: T): T =>
      a && a.unit !== 'plate'
        ? {
            ...a,
            value: a.unit === 'g' ? Math.round(a.value * factor) : Math.round(a.value * factor * 4) / 4,
          }
        : a;
    void tonight.change({
      people: count,
      pulse: scaled(dish.pulse),
      rice: scaled(dish.rice),
      others: (dish.others ?? []).map((o) => ({ ...o, amount: scaled(o.amount) })),
      extras: (dish.extras ?? []).map((x) => ({ ...x, amount: scaled(x.amount), pieces: null })),
    });
  }

  let unread = $state(false);
  const timeFault = $derived(
    unread ? say('form.time_fault', { time: hourSaid('19:00') }) : tonight.fault('serveAtLocal'),
  );

  function setTime(text: string) {
    const time = parseTime(text, dish.serveAtLocal.slice(11));
    unread = !time;
    if (time) void tonight.change({ serveAtLocal: `${day}T${time}` });
  }

  /** Another unit says the same amount anew, whether or not there is a plan; one whose grams nobody knows is the usual amount. */
  function amount(what: 'pulse' | 'rice', value: number, unit: string, typed: boolean) {
    const before = what === 'pulse' ? pulseAmount : riceAmount;
    const grain = what === 'pulse' ? pulse : rice;
    if (typed || unit === before.unit || !grain) {
      void tonight.change({ [what]: { value, unit } });
      return;
    }
    const cup = (grain.gramsPerCup * kitchen.cupMillilitres) / tableCup;
    const left = leftOf(grain.id);
    const each = { g: 1, cup, packet, shelf: left, plate: 0 } as Record<string, number>;
    const grams = dish[what] ? before.value * (each[before.unit] ?? 0) : 0;
    const anew = inUnit(grams, unit, each);
    void tonight.change({
      [what]: anew !== null ? { value: anew, unit } : unit === 'plate' ? { value: dish.people, unit } : null,
    });
  }

  /** Grams in another unit, as finely as it is filled: whole grams, quarter cups, tenths of a bag; null where that says nothing. */
  function inUnit(grams: number, unit: string, each: Record<string, number>): number | null {
    if (unit === 'shelf') return 1;
    const per = each[unit] ?? 0;
    if (grams <= 0 || per <= 0) return null;
    const grain = unit === 'g' ? 1 : unit === 'cup' ? 4 : 10;
    return Math.max(1 / grain, Math.round((grams / per) * grain) / grain);
  }
  /** Table cup of the catalogue, mL, and a bag as most shops sell it, g: the server's own, said here for the unit alone. */
  const tableCup = 240;
  const packet = 500;

  /** What was named, or nothing: the usual. */
  const named = <T extends string>(value: string): T | null => (value === 'usual' ? null : (value as T));
</script>

<SayLine {tonight} />
<form
  class="dish flex flex-col gap-3.5 p-4"
  onsubmit={(e) => e.preventDefault()}
  aria-label={say('tonight.dish')}
>
  <NamePicker
    id="pulse"
    label={say('form.pulses')}
    chosen={pulse?.name ?? ''}
    find={api.findPulses}
    onchoose={(id) => tonight.change({ pulseId: id })}
    error={tonight.fault('pulseId')}
  />
  <OtherPulses {tonight} {catalogue} find={api.findPulses} />
  <NamePicker
    id="rice"
    label={say('form.rice')}
    chosen={rice?.name ?? say('form.no_rice')}
    none={{ id: noRice, name: say('form.no_rice') }}
    find={api.findRices}
    onchoose={(id) => tonight.change(id === noRice ? { riceId: null, rice: null } : { riceId: id })}
    error={tonight.fault('riceId')}
  />
  <div class="grid grid-cols-[5.2rem_1fr] gap-3">
    <div>
      <label class="mb-1 block text-sm font-semibold" for="people">{say('form.for')}</label>
      <input
        id="people"
        class="input w-full text-base"
        type="number"
        min="1"
        max="40"
        value={dish.people}
        aria-invalid={tonight.fault('people') ? true : undefined}
        onchange={(e) => people(e.currentTarget.valueAsNumber || 1)}
      />
      {#if tonight.fault('people')}<p class="text-error mt-1 text-sm" role="alert">
          {tonight.fault('people')}
        </p>{/if}
    </div>
    <AmountField
      id="pulse-amount"
      label={say('amount.pulse', {
        pulse: pulse?.said ?? say('form.pulses'),
        state: dish.pulseState ?? 'dry',
      })}
      value={pulseAmount.value}
      unit={pulseAmount.unit}
      cupMillilitres={kitchen.cupMillilitres}
      onchange={(value, unit, typed) => amount('pulse', value, unit, typed)}
      error={tonight.fault('pulse')}
      more={unitsFor(dish.pulseId)}
    />
  </div>
  {#if bags.length > 1 && dish.method !== 'cooked' && (dish.pulseState ?? 'dry') === 'dry'}
    <SelectField
      id="bag"
      label={say('bag.label')}
      options={bags.map((b) => ({ id: b.id, name: say('bag.option', { bag: bagName(b), grams: b.grams }) }))}
      value={(bags.find((b) => b.id === dish.bagId) ?? bags.find((b) => b.first))?.id ?? ''}
      onchange={(bagId) => tonight.change({ bagId })}
      error={tonight.fault('bagId')}
    />
  {/if}
  {#if dish.riceId}
    <AmountField
      id="rice-amount"
      label={say('amount.rice', {
        rice: capital(rice?.said ?? say('form.rice')),
        state: dish.riceState ?? 'dry',
      })}
      value={riceAmount.value}
      unit={riceAmount.unit}
      cupMillilitres={kitchen.cupMillilitres}
      onchange={(value, unit, typed) => amount('rice', value, unit, typed)}
      error={tonight.fault('rice')}
      more={unitsFor(dish.riceId)}
    />
  {/if}
  {#if dish.method !== 'cooked' && (dish.pulseState ?? 'dry') !== 'dry'}
    <p class="text-[0.95rem]">{capital(say(`pulse_state.${dish.pulseState ?? 'dry'}`))}</p>
  {:else if dish.method !== 'cooked'}
    <SoakChoice {tonight} {kitchen} />
  {:else if tonight.plan?.measureOut.drainedGrams}
    <p class="text-sm" data-drained>
      {say('form.drained', {
        grams: tonight.plan.measureOut.drainedGrams,
        pulse: within(pulse?.said ?? ''),
      })}
    </p>
  {/if}
  <Choice
    legend={say('form.style')}
    name="style"
    value={dish.style}
    options={styles}
    onchange={(style) => tonight.change({ style })}
  />
  <div class="grid grid-cols-2 gap-3">
    <div>
      <label class="mb-1 block text-sm font-semibold" for="pulse-target">{say('target.pulse.legend')}</label>
      <select
        id="pulse-target"
        class="select w-full text-[0.95rem]"
        value={dish.pulseTarget ?? 'usual'}
        onchange={(e) => tonight.change({ pulseTarget: named<PulseTarget>(e.currentTarget.value) })}
      >
        {#each pulseTargets as t (t.id)}<option value={t.id}>{t.name}</option>{/each}
      </select>
    </div>
    {#if dish.riceId}
      <div>
        <label class="mb-1 block text-sm font-semibold" for="rice-target">{say('target.rice.legend')}</label>
        <select
          id="rice-target"
          class="select w-full text-[0.95rem]"
          value={dish.riceTarget ?? 'usual'}
          onchange={(e) => tonight.change({ riceTarget: named<RiceTarget>(e.currentTarget.value) })}
        >
          {#each riceTargets as t (t.id)}<option value={t.id}>{t.name}</option>{/each}
        </select>
      </div>
    {/if}
  </div>
  <ExtraPicker
    {extras}
    chosen={dish.extras ?? []}
    planned={tonight.plan?.measureOut.extras ?? []}
    riceApart={!!dish.riceId &&
      !!dish.riceVesselId &&
      dish.riceVesselId !== 'bowl_above' &&
      dish.riceJoin !== 'in_the_liquor'}
    onchange={(chosen) => tonight.change({ extras: chosen })}
    error={tonight.problem?.errors?.find((e) => e.field.startsWith('extras'))?.detail ?? null}
  />
  {#if cookers.length}
    <div>
      <label class="mb-1 block text-sm font-semibold" for="method">{say('form.cooked_in')}</label>
      <select
        id="method"
        class="select w-full text-base"
        value={dish.cookerId ??
          (dish.method === 'cooked' ? (dish.cookedFrom ?? 'tin') : (dish.method ?? 'open_pot'))}
        onchange={(e) => tonight.change(methodOf(e.currentTarget.value))}
      >
        <option value="open_pot">{say('form.open_pot')}</option>
        {#each cookers as c (c.id)}
          <option value={c.id}>{say('form.cooker', { name: c.name, kind: c.cooker })}</option>
        {/each}
        {#each cookedFrom as id (id)}<option value={id}>{say(`form.from.${id}`)}</option>{/each}
      </select>
      {#if tonight.fault('cookerId')}<p class="text-error mt-1 text-sm" role="alert">
          {tonight.fault('cookerId')}
        </p>{/if}
    </div>
  {/if}
  <div>
    <label class="mb-1 block text-sm font-semibold" for="vessel"
      >{say('form.pot', { width: vessel ? centimetres(vessel.diameterCentimetres) : null })}</label
    >
    <select
      id="vessel"
      class="select w-full text-[0.95rem]"
      value={dish.vesselId}
      onchange={(e) => tonight.change({ vesselId: e.currentTarget.value })}
    >
      {#each pots as v (v.id)}
        <option value={v.id}>{v.name}</option>
      {/each}
    </select>
  </div>
  <div class="grid grid-cols-2 gap-3">
    <div>
      <label class="mb-1 block text-sm font-semibold" for="day">{say('form.day')}</label>
      <select
        id="day"
        class="select w-full text-base"
        value={day}
        onchange={(e) =>
          tonight.change({ serveAtLocal: `${e.currentTarget.value}T${dish.serveAtLocal.slice(11)}` })}
      >
        {#each days as d (d)}<option value={d}>{capital(dayName(d, today))}</option>{/each}
      </select>
    </div>
    <div>
      <label class="mb-1 block text-sm font-semibold" for="time">{say('form.time')}</label>
      <input
        id="time"
        class="input w-full text-base tabular-nums"
        type="text"
        inputmode="numeric"
        autocomplete="off"
        value={hourSaid(dish.serveAtLocal.slice(11))}
        aria-invalid={timeFault ? true : undefined}
        aria-describedby={timeFault ? 'time-error' : undefined}
        onchange={(e) => setTime(e.currentTarget.value)}
      />
    </div>
  </div>
  {#if timeFault}<p id="time-error" class="text-error text-sm" role="alert">{timeFault}</p>{/if}
  <MoreWishes {tonight} {kitchen} {catalogue} />
  {#if pulse}<p class="text-sm opacity-85">{pulse.note}</p>{/if}
</form>
