<script lang="ts">
  import { untrack } from 'svelte';
  import type { Kitchen } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { saltName, saltIds } from '../../format/words';
  import { say } from '../../messages/say';
  import { household } from '../../state/kitchen.svelte';

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
  <h2 class="text-xl">The house</h2>
  <div class="mt-2 grid gap-4 sm:grid-cols-2 lg:grid-cols-4">
    <label class="text-sm font-semibold"
      >Height above the sea, m<input
        class="input w-full text-base"
        type="number"
        bind:value={form.altitudeMetres}
      />
      {#if fault('altitudeMetres')}<span class="text-error block" role="alert">{fault('altitudeMetres')}</span
        >{/if}
    </label>
    <label class="text-sm font-semibold"
      >Room in which you soak, °C<input
        class="input w-full text-base"
        type="number"
        bind:value={form.roomCelsius}
      />
      {#if fault('roomCelsius')}<span class="text-error block" role="alert">{fault('roomCelsius')}</span>{/if}
    </label>
    <label class="text-sm font-semibold"
      >Water hardness, mg/L<input
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
      >A cup<select class="select w-full text-base" bind:value={form.cupMillilitres}>
        <option value={237}>237 mL</option><option value={240}>240 mL</option><option value={250}
          >250 mL</option
        >
      </select></label
    >
    <label class="text-sm font-semibold"
      >Clock<select class="select w-full text-base" bind:value={form.zone}>
        {#each zones.includes(form.zone) ? zones : [form.zone, ...zones] as zone (zone)}<option>{zone}</option
          >{/each}
      </select></label
    >
    <label class="text-sm font-semibold"
      >Up from<input class="input w-full text-base" type="time" bind:value={form.wakes} /></label
    >
    <label class="text-sm font-semibold"
      >To bed at<input class="input w-full text-base" type="time" bind:value={form.sleeps} /></label
    >
    <label class="text-sm font-semibold"
      >Soaks are set at<input class="input w-full text-base" type="time" bind:value={form.soaksAt} /></label
    >
    <label class="text-sm font-semibold"
      >Salt goes in<select class="select w-full text-base" bind:value={form.salt}>
        {#each saltIds as id (id)}<option value={id}>{saltName(id)}</option>{/each}
      </select></label
    >
    <label class="text-sm font-semibold"
      >Salt in the end, %<input
        class="input w-full text-base"
        type="number"
        step="0.1"
        bind:value={form.saltPercent}
      />
      {#if fault('saltPercent')}<span class="text-error block" role="alert">{fault('saltPercent')}</span>{/if}
    </label>
    <label class="text-sm font-semibold"
      >Chilling and keeping by<select class="select w-full text-base" bind:value={form.storageRule}>
        <option value="cautious">the strictest rule</option>
        <option value="uk">United Kingdom</option>
        <option value="us">United States</option>
        <option value="au_nz">Australia, New Zealand</option>
        <option value="ca">Canada</option>
      </select></label
    >
    <label class="text-sm font-semibold"
      >Rice, when it goes in<select class="select w-full text-base" bind:value={form.stirsAtJoin}>
        <option value={true}>stirred in once</option>
        <option value={false}>laid on top, left alone</option>
      </select>
      <span class="block font-normal"
        >{form.stirsAtJoin
          ? 'Even liquid for all grains; long grain may break (rough).'
          : 'Whole grains; the top ones stay firmer (rough).'}</span
      ></label
    >
    <label class="flex items-center gap-3 font-semibold">
      <input class="checkbox checkbox-primary" type="checkbox" bind:checked={form.keepsSoakWater} />
      The soak water goes in too, where it may
    </label>
    <label class="flex items-center gap-3 font-semibold">
      <input class="checkbox checkbox-primary" type="checkbox" bind:checked={form.cautious} />
      Cautious: hard boil 30 min
    </label>
  </div>
  {#if problem && !problem.errors}<p class="text-error mt-2" role="alert">{problem.detail}</p>{/if}
  <button class="btn btn-primary mt-4" type="submit">Save</button>
  <span class="text-success ml-3" role="status">{saved ? 'Saved.' : ''}</span>
</form>
