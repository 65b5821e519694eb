<script lang="ts">
  import type { Dish, Kitchen, Soak } from '../../api/client';
  import { addDays, dayName, hourSaid, parseTime } from '../../format/time';
  import { capital, soaks } from '../../format/words';
  import { say } from '../../messages/say';
  import type { Tonight } from '../../state/tonight.svelte';
  import Choice from '../../ui/Choice.svelte';

  type Props = { tonight: Tonight; kitchen: Kitchen };
  let { tonight, kitchen }: Props = $props();

  const dish = $derived(tonight.dish);
  const today = $derived(kitchen.nowLocal.slice(0, 10));
  const days = $derived([0, -1, -2].map((n) => addDays(today, n)));
  /** Of a table today they stand since last evening; of a later one since now. */
  const since = $derived(
    dish.soakedSinceLocal ??
      (dish.serveAtLocal.startsWith(today)
        ? `${addDays(today, -1)}T${kitchen.soaksAt}`
        : kitchen.nowLocal.slice(0, 16)),
  );
  const usualHours = 2;
  let unread = $state(false);
  const fault = $derived(
    unread
      ? say('form.time_fault', { time: '08:00' })
      : (tonight.fault('soakedSinceLocal') ?? tonight.fault('soakHours')),
  );

  /** What belongs to another soak is not kept. */
  const plain = { soakHours: null, soakedSinceLocal: null, soaksCold: null };

  function choose(soak: Soak) {
    unread = false;
    const own: Partial<Dish> =
      soak === 'hours' ? { soakHours: usualHours } : soak === 'already' ? { soakedSinceLocal: since } : {};
    void tonight.change({ soak, ...plain, ...own });
  }

  function setTime(text: string) {
    const time = parseTime(text, since.slice(11, 16));
    unread = !time;
    if (time) void tonight.change({ soakedSinceLocal: `${since.slice(0, 10)}T${time}` });
  }
</script>

<Choice legend={say('form.soak')} name="soak" value={dish.soak} options={soaks} onchange={choose} />
{#if dish.soak === 'hours'}
  <label class="flex items-center gap-3 text-sm font-semibold">
    {say('soak.for')}
    <input
      class="input w-24 text-base"
      type="number"
      min="0.5"
      max="24"
      step="0.5"
      value={dish.soakHours ?? usualHours}
      aria-invalid={fault ? true : undefined}
      onchange={(e) => tonight.change({ soakHours: e.currentTarget.valueAsNumber || usualHours })}
    />
  </label>
{:else if dish.soak === 'already'}
  <div>
    <span class="mb-1 block text-sm font-semibold" id="soaked-since">{say('soak.since')}</span>
    <div class="grid grid-cols-[1fr_5.5rem] gap-3" role="group" aria-labelledby="soaked-since">
      <select
        class="select w-full text-base"
        aria-label={say('form.soak_day', { label: say('soak.since') })}
        value={since.slice(0, 10)}
        onchange={(e) =>
          tonight.change({ soakedSinceLocal: `${e.currentTarget.value}T${since.slice(11, 16)}` })}
      >
        {#each days as d (d)}<option value={d}>{capital(dayName(d, today))}</option>{/each}
      </select>
      <input
        id="soaked-at"
        class="input w-full text-base tabular-nums"
        inputmode="numeric"
        autocomplete="off"
        aria-label={say('form.soak_hour', { label: say('soak.since') })}
        value={hourSaid(since.slice(11, 16))}
        aria-invalid={fault ? true : undefined}
        onchange={(e) => setTime(e.currentTarget.value)}
      />
    </div>
    <label class="mt-1.5 flex min-h-10 items-center gap-2 text-[0.95rem]">
      <input
        type="checkbox"
        class="checkbox checkbox-sm"
        checked={dish.soaksCold ?? false}
        onchange={(e) => tonight.change({ soaksCold: e.currentTarget.checked })}
      />{say('soak.cold')}
    </label>
  </div>
{/if}
{#if fault}<p class="text-error text-sm" role="alert">{fault}</p>{/if}
