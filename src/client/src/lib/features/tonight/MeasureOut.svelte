<script lang="ts">
  import type { Dish, Plan } from '../../api/client';
  import { cups, grams, millilitres, millilitresBetween } from '../../format/amounts';
  import { listed, measureLines } from '../../format/words';
  import { say } from '../../messages/say';
  import HowMuch from './HowMuch.svelte';

  type Props = { plan: Plan; dish: Dish };
  let { plan, dish }: Props = $props();
  const out = $derived(plan.measureOut);
  const lines = $derived(measureLines(out, plan));
</script>

<section class="dish p-4" aria-labelledby="measure-title">
  <h2 id="measure-title" class="text-xl">Measure out</h2>
  <ul class="mt-1">
    {#each lines as line (line.what)}
      <li class="border-base-300 flex items-baseline justify-between gap-3 border-t py-1.5 first:border-t-0">
        <span>{line.what} <span class="block text-sm opacity-85">{line.note}</span></span>
        <span class="text-right font-semibold whitespace-nowrap tabular-nums"
          >{line.amount}{#if line.cups}<span class="block text-sm font-normal opacity-85"
              >{cups(line.cups)}</span
            >{/if}</span
        >
      </li>
    {/each}
  </ul>
  {#if plan.join}
    <p class="bg-base-200 mt-2 rounded-lg px-3 py-2 text-[0.95rem]">
      Before the {plan.join.joiner === 'rice' ? 'rice' : 'pulses'}: pour the liquid into a jug. You should
      find
      {millilitresBetween(
        Math.round(plan.join.foundMillilitres.low / 10) * 10,
        Math.round(plan.join.foundMillilitres.high / 10) * 10,
      )}; give back or top up to <strong>{millilitres(plan.join.neededMillilitres)}</strong>.
    </p>
  {/if}
  {#if out.salt.sources.length > 1 || out.salt.finding}
    <details class="mt-2">
      <summary class="cursor-pointer text-sm font-semibold"
        >Salt, all of it: {out.salt.percent} % at the table</summary
      >
      <ul class="mt-1 text-[0.95rem] tabular-nums">
        {#each out.salt.sources as s (s.what)}
          <li class="flex justify-between gap-3">
            <span>{s.what}</span><span
              >{s.grams.toFixed(1)} g{#if s.low !== s.high}
                <span class="opacity-80">({s.low} to {s.high})</span>{/if}{#if s.sodiumGrams}
                , {s.sodiumGrams} g sodium beside{/if}</span
            >
          </li>
        {/each}
      </ul>
      {#if out.salt.finding === 'salt.too_much'}<p class="text-error">Saltier than most people like.</p>{/if}
      {#if out.salt.finding === 'salt.none'}<p class="text-error">No salt anywhere.</p>{/if}
    </details>
  {/if}
  {#if out.littleOnes}
    <p class="mt-2 text-[0.95rem]">
      {say('measure.little', {
        salty: listed(out.littleSalty ?? []),
        count: out.littleOnes,
        grams: out.littleGramsEach,
      })}
    </p>
  {/if}
  <HowMuch {dish} />
  <p class="mt-2 text-sm opacity-85">
    {grams(out.cookedGrams)} on the table, about {grams(out.cookedGramsEach)} for each of {dish.people}.
  </p>
</section>
