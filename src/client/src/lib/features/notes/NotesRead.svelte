<script lang="ts">
  import type { Notes } from '../../api/client';
  import { grams } from '../../format/amounts';

  type Props = { found: Notes };
  let { found }: Props = $props();

  const acts: Record<string, string> = {
    soak: 'soak',
    unsoaked: 'not soaked',
    quick_soak: 'quick soak',
    boil: 'boil',
    simmer: 'simmer',
    pressure: 'under pressure',
    whistles: 'whistles',
    slow: 'slow cooker',
    rice_in: 'rice in',
    drain: 'drain',
    rest: 'rest',
  };
  const minutes = (low: number | null, high: number | null) =>
    low === null || high === null ? '' : low === high ? `${low} min` : `${low} to ${high} min`;
</script>

<section class="dish p-4" aria-labelledby="read-title">
  <h2 id="read-title" class="text-xl">What was read</h2>
  <ul class="mt-1">
    {#each found.amounts as a, i (i)}
      <li class="border-base-300 flex justify-between gap-3 border-t py-1.5 first:border-t-0">
        <span
          >{a.kind === 'unknown' ? a.line : a.name}{a.cooked ? ', cooked already: its dry weight' : ''}
          {#if a.kind === 'unknown'}<span class="block text-sm opacity-85">not known here; left out</span
            >{/if}</span
        >
        <span class="font-semibold whitespace-nowrap tabular-nums"
          >{a.grams === null ? '?' : a.kind === 'water' ? `${a.grams} mL` : grams(a.grams)}</span
        >
      </li>
    {/each}
    {#each found.steps as s, i (i)}
      <li class="border-base-300 flex justify-between gap-3 border-t py-1.5">
        <span>{s.line}</span>
        <span class="text-right font-semibold whitespace-nowrap"
          >{acts[s.act] ?? 'not read'}{s.whistles ? `, ${s.whistles}` : ''}
          {#if s.minutesLow !== null}<span class="block text-sm font-normal"
              >{minutes(s.minutesLow, s.minutesHigh)}</span
            >{/if}</span
        >
      </li>
    {/each}
  </ul>
</section>
