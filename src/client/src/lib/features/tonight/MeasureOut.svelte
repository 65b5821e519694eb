<script lang="ts">
  import type { Dish, Plan } from '../../api/client';
  import { cups, millilitresBetween } from '../../format/amounts';
  import { listed, measureLines } from '../../format/words';
  import { say } from '../../messages/say';
  import HowMuch from './HowMuch.svelte';
  import Marked from '../../ui/Marked.svelte';

  import WhyLink from '../why/WhyLink.svelte';

  type Props = { plan: Plan; dish: Dish };
  let { plan, dish }: Props = $props();
  const out = $derived(plan.measureOut);
  const lines = $derived(measureLines(out, plan));
</script>

<section class="dish p-4" aria-labelledby="measure-title">
  <h2 id="measure-title" class="text-xl">{say('measure.title')}</h2>
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
      <Marked
        text={say('measure.jug', {
          joiner: plan.join.joiner,
          range: millilitresBetween(
            Math.round(plan.join.foundMillilitres.low / 10) * 10,
            Math.round(plan.join.foundMillilitres.high / 10) * 10,
          ),
          millilitres: plan.join.neededMillilitres,
        })}
      />
      <WhyLink reason="jug" />
    </p>
  {/if}
  {#if out.salt.sources.length > 1 || out.salt.finding}
    <details class="mt-2">
      <summary class="cursor-pointer text-sm font-semibold"
        >{say('measure.salt_all', { percent: out.salt.percent })}</summary
      >
      <ul class="mt-1 text-[0.95rem] tabular-nums">
        {#each out.salt.sources as s (s.what)}
          <li class="flex justify-between gap-3">
            <span>{s.what}</span><span
              >{say('measure.salt_source', { grams: s.grams })}{#if s.low !== s.high}
                <span class="opacity-80">{say('measure.salt_range', { low: s.low, high: s.high })}</span
                >{/if}{#if s.sodiumGrams}{say('measure.sodium', { grams: s.sodiumGrams })}{/if}</span
            >
          </li>
        {/each}
      </ul>
      <p><WhyLink reason="salt_much" /></p>
      {#if out.salt.finding === 'salt.too_much'}<p class="text-error">{say('measure.too_salty')}</p>{/if}
      {#if out.salt.finding === 'salt.none'}<p class="text-error">{say('measure.no_salt')}</p>{/if}
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
    {say('measure.each', { grams: out.cookedGrams, each: out.cookedGramsEach, people: dish.people })}
  </p>
</section>
