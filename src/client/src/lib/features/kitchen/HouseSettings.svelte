<script lang="ts">
  import { untrack } from 'svelte';
  import type { Kitchen } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { saltName, saltIds } from '../../format/words';
  import { say } from '../../messages/say';
  import { household } from '../../state/kitchen.svelte';
  import HourField from '../../ui/HourField.svelte';
  import MeasureField from '../../ui/MeasureField.svelte';
  import { unitOf } from '../../ui/measure';
  import { units } from '../../messages/units.svelte';

  type Props = { kitchen: Kitchen };
  let { kitchen }: Props = $props();

  const settings = (k: Kitchen) => ({
    zone: k.zone,
    altitudeMetres: k.altitudeMetres,
    roomCelsius: k.roomCelsius,
    wakes: k.wakes,
    sleeps: k.sleeps,
    soaksAt: k.soaksAt,
    cupMillilitres: k.cupMillilitres,
    cautious: k.cautious,
    hardnessMilligramsPerLitre: k.hardnessMilligramsPerLitre,
    salt: k.salt,
    saltPercent: k.saltPercent,
    keepsSoakWater: k.keepsSoakWater,
    stirsAtJoin: k.stirsAtJoin,
    storageRule: k.storageRule,
    units: k.units,
    hours: k.hours,
  });
  type Settings = ReturnType<typeof settings>;
  // svelte-ignore state_referenced_locally
  let form = $state(settings(kitchen));
  /** What the kettle has, as this form last knew it. */
  // svelte-ignore state_referenced_locally
  let known: Settings = settings(kitchen);
  // What changes elsewhere comes into the fields that nobody has touched here; the others stay as they were typed.
  $effect(() => {
    const now = settings(kitchen);
    untrack(() => {
      for (const field of Object.keys(now) as (keyof Settings)[])
        if (form[field] === known[field]) Object.assign(form, { [field]: now[field] });
      known = now;
    });
  });
  let problem = $state<Problem | null>(null);
  let saved = $state(false);
  const zones = Intl.supportedValuesOf('timeZone');
  const fault = (field: string) => problem?.errors?.find((e) => e.field === field)?.detail;

  async function save(event: SubmitEvent) {
    event.preventDefault();
    saved = false;
    problem = await household.change({ ...form, version: kitchen.version });
    saved = !problem;
  }
</script>

<form class="dish mt-5 p-4" onsubmit={save}>
  <h2 class="text-xl">{say('house.title')}</h2>
  <div class="mt-2 grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
    <label class="text-sm font-semibold"
      >{say('house.altitude', { unit: unitOf('metres', units.us) })}<MeasureField
        of="metres"
        class="input w-full text-base"
        bind:value={form.altitudeMetres}
      />
      {#if fault('altitudeMetres')}<span class="text-error block" role="alert">{fault('altitudeMetres')}</span
        >{/if}
    </label>
    <label class="text-sm font-semibold"
      >{say('house.room', { unit: unitOf('celsius', units.us) })}<MeasureField
        of="celsius"
        class="input w-full text-base"
        bind:value={form.roomCelsius}
      />
      {#if fault('roomCelsius')}<span class="text-error block" role="alert">{fault('roomCelsius')}</span>{/if}
    </label>
    <label class="text-sm font-semibold"
      >{say('house.hardness')}<input
        class="input w-full text-base"
        type="number"
        bind:value={form.hardnessMilligramsPerLitre}
      />
      {#if fault('hardnessMilligramsPerLitre')}<span class="text-error block" role="alert"
          >{fault('hardnessMilligramsPerLitre')}</span
        >{/if}
    </label>
    <label class="text-sm font-semibold"
      >{say('house.units')}<select class="select w-full text-base" bind:value={form.units}>
        <option value="metric">{say('house.units.metric')}</option>
        <option value="us">{say('house.units.us')}</option>
      </select></label
    >
    <label class="text-sm font-semibold"
      >{say('house.hours')}<select class="select w-full text-base" bind:value={form.hours}>
        <option value="24">{say('house.hours.to_24')}</option>
        <option value="am_pm">{say('house.hours.am_pm')}</option>
      </select></label
    >
    <label class="text-sm font-semibold"
      >{say('house.cup')}<select class="select w-full text-base" bind:value={form.cupMillilitres}>
        {#each [237, 240, 250] as size (size)}
          <option value={size}>{say('house.cup_size', { millilitres: size })}</option>
        {/each}
      </select></label
    >
    <label class="text-sm font-semibold"
      >{say('house.clock')}<select class="select w-full text-base" bind:value={form.zone}>
        {#each zones.includes(form.zone) ? zones : [form.zone, ...zones] as zone (zone)}<option>{zone}</option
          >{/each}
      </select></label
    >
    <label class="text-sm font-semibold"
      >{say('house.wakes')}<HourField class="input w-full text-base" bind:value={form.wakes} /></label
    >
    <label class="text-sm font-semibold"
      >{say('house.sleeps')}<HourField class="input w-full text-base" bind:value={form.sleeps} /></label
    >
    <label class="text-sm font-semibold"
      >{say('house.soaks_at')}<HourField class="input w-full text-base" bind:value={form.soaksAt} /></label
    >
    <label class="text-sm font-semibold"
      >{say('house.salt')}<select class="select w-full text-base" bind:value={form.salt}>
        {#each saltIds as id (id)}<option value={id}>{saltName(id)}</option>{/each}
      </select></label
    >
    <label class="text-sm font-semibold"
      >{say('house.salt_percent')}<input
        class="input w-full text-base"
        type="number"
        step="0.1"
        bind:value={form.saltPercent}
      />
      {#if fault('saltPercent')}<span class="text-error block" role="alert">{fault('saltPercent')}</span>{/if}
    </label>
    <label class="text-sm font-semibold"
      >{say('house.storage')}<select class="select w-full text-base" bind:value={form.storageRule}>
        {#each ['cautious', 'uk', 'us', 'au_nz', 'ca'] as const as rule (rule)}
          <option value={rule}>{say(`house.storage.${rule}`)}</option>
        {/each}
      </select></label
    >
    <label class="text-sm font-semibold"
      >{say('house.stirs')}<select class="select w-full text-base" bind:value={form.stirsAtJoin}>
        <option value={true}>{say('house.stirs.yes')}</option>
        <option value={false}>{say('house.stirs.no')}</option>
      </select>
      <span class="block font-normal"
        >{form.stirsAtJoin ? say('house.stirs.yes_why') : say('house.stirs.no_why')}</span
      ></label
    >
    <label class="flex items-center gap-3 font-semibold">
      <input class="checkbox checkbox-primary" type="checkbox" bind:checked={form.keepsSoakWater} />
      {say('house.soak_water')}
    </label>
    <label class="flex items-center gap-3 font-semibold">
      <input class="checkbox checkbox-primary" type="checkbox" bind:checked={form.cautious} />
      {say('house.cautious')}
    </label>
  </div>
  {#if problem && !problem.errors}<p class="text-error mt-2" role="alert">{problem.detail}</p>{/if}
  <button class="btn btn-primary mt-4" type="submit">{say('kitchen.save')}</button>
  <span class="text-success ml-3" role="status">{saved ? say('house.saved') : ''}</span>
</form>
