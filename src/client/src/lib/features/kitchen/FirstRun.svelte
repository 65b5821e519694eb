<script lang="ts">
  import type { CookerKind, Kitchen } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { burnerSizes } from '../../format/kitchen';
  import { say } from '../../messages/say';
  import { household } from '../../state/kitchen.svelte';
  import Choice from '../../ui/Choice.svelte';
  import MeasureField from '../../ui/MeasureField.svelte';
  import { unitOf } from '../../ui/measure';
  import { units } from '../../messages/units.svelte';

  type Props = { kitchen: Kitchen };
  let { kitchen }: Props = $props();

  const zones = Intl.supportedValuesOf('timeZone');
  const here = Intl.DateTimeFormat().resolvedOptions().timeZone;
  // svelte-ignore state_referenced_locally
  let zone = $state(zones.includes(here) ? here : kitchen.zone);
  // svelte-ignore state_referenced_locally
  let altitude = $state<number | null>(kitchen.altitudeMetres);
  let burners = $state('4');
  let flame = $state('electric');
  let water = $state('unknown');
  let cookers = $state<CookerKind[]>([]);
  let problem = $state<Problem | null>(null);
  let busy = $state(false);

  const kinds: CookerKind[] = ['weight', 'spring', 'electric', 'slow', 'rice'];
  /** Of tap water, mg/L (confidence C). */
  const hardness: Record<string, number | null> = { soft: 40, medium: 120, hard: 250, unknown: null };
  /** As hobs have them: the first is the largest. */
  const order = ['large', 'small', 'middle', 'middle', 'largest', 'small'] as const;

  const hob = (count: number) =>
    order.slice(0, count).map((size, i) => ({
      name: `${say(`kitchen.size.${size}`)}${order.slice(0, i).includes(size) ? ' 2' : ''}`,
      mostWatts: burnerSizes[size],
      gas: flame === 'gas',
      version: 0,
    }));

  /** As the browser's own country has them. */
  const guess = ['US', 'LR', 'MM'].includes(new Intl.Locale(navigator.language).region ?? '')
    ? 'us'
    : 'metric';
  units.us = guess === 'us';
  const hours = /^h1/.test(
    new Intl.DateTimeFormat(navigator.language, { hour: 'numeric' }).resolvedOptions().hourCycle ?? '',
  )
    ? 'am_pm'
    : '24';

  async function send(skip: boolean) {
    busy = true;
    problem = await household.firstRun(
      skip
        ? {
            zone,
            altitudeMetres: null,
            hardnessMilligramsPerLitre: null,
            cupMillilitres: null,
            burners: null,
            cookers: null,
            units: guess,
            hours,
          }
        : {
            zone,
            altitudeMetres: altitude,
            hardnessMilligramsPerLitre: hardness[water] ?? null,
            cupMillilitres: null,
            burners: hob(Number(burners)),
            cookers: cookers.map((kind) => ({ kind, name: say(`cooker.${kind}`) })),
            units: guess,
            hours,
          },
    );
    busy = false;
  }
  const fault = (field: string) => problem?.errors?.find((e) => e.field === field)?.detail;
</script>

<form
  class="dish mx-auto max-w-3xl p-5 sm:p-7"
  onsubmit={(e) => {
    e.preventDefault();
    void send(false);
  }}
>
  <h1 class="text-3xl">{say('first.title')}</h1>
  <p class="mt-1">{say('first.why')}</p>
  <div class="mt-4 grid gap-6 sm:grid-cols-2">
    <div>
      <h2 class="text-xl">{say('first.burners')}</h2>
      <div class="mt-2 grid gap-3">
        <Choice
          legend={say('first.burner_count')}
          name="burners"
          value={burners}
          options={['1', '2', '3', '4', '5', '6'].map((id) => ({ id, name: id }))}
          onchange={(id) => (burners = id)}
        />
        <Choice
          legend={say('first.flame')}
          name="flame"
          value={flame}
          options={[
            { id: 'gas', name: say('first.gas') },
            { id: 'electric', name: say('first.electric') },
          ]}
          onchange={(id) => (flame = id)}
        />
      </div>
    </div>
    <fieldset>
      <legend class="display text-xl">{say('first.cookers')}</legend>
      {#each kinds as kind (kind)}
        <label class="mt-2 flex items-center gap-3">
          <input class="checkbox checkbox-primary" type="checkbox" value={kind} bind:group={cookers} />
          {say(`cooker.${kind}`)}
        </label>
      {/each}
    </fieldset>
    <div>
      <h2 class="text-xl">{say('first.where')}</h2>
      <label class="mt-2 block text-sm font-semibold"
        >{say('first.zone')}<select class="select w-full text-base font-normal" bind:value={zone}>
          {#each zones.includes(zone) ? zones : [zone, ...zones] as z (z)}<option>{z}</option>{/each}
        </select></label
      >
      <label class="mt-2 block text-sm font-semibold"
        >{say('first.altitude', { unit: unitOf('metres', units.us) })}<MeasureField
          of="metres"
          class="input w-full text-base font-normal"
          bind:value={altitude}
          aria-invalid={fault('altitudeMetres') ? true : undefined}
        />
        {#if fault('altitudeMetres')}<span class="text-error block" role="alert"
            >{fault('altitudeMetres')}</span
          >{/if}</label
      >
    </div>
    <div>
      <h2 class="mb-2 text-xl">{say('first.water')}</h2>
      <Choice
        legend={say('first.hardness')}
        name="water"
        value={water}
        options={[
          { id: 'soft', name: say('first.soft') },
          { id: 'medium', name: say('first.medium') },
          { id: 'hard', name: say('first.hard') },
          { id: 'unknown', name: say('first.unknown') },
        ]}
        onchange={(id) => (water = id)}
      />
    </div>
  </div>
  {#if problem && !problem.errors}<p class="text-error mt-3" role="alert">{problem.detail}</p>{/if}
  <div class="mt-6 flex flex-wrap gap-3">
    <button class="btn btn-primary" type="submit" disabled={busy}>{say('first.done')}</button>
    <button class="btn btn-ghost" type="button" disabled={busy} onclick={() => send(true)}
      >{say('first.skip')}</button
    >
  </div>
</form>
