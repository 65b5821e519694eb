<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { Kitchen } from '../../api/client';
  import { dinnersOf } from '../../format/chance';
  import { clock, dayName, dayOf } from '../../format/time';
  import type { Tonight } from '../../state/tonight.svelte';

  type Props = { tonight: Tonight; kitchen: Kitchen; children: Snippet };
  let { tonight, kitchen, children }: Props = $props();

  /** The verdict, or why there is none; once it is scrolled away, one line of it stays at the top. */
  let away = $state(false);
  function watched(node: HTMLElement) {
    const seen = new IntersectionObserver(([entry]) => (away = !!entry && !entry.isIntersecting));
    seen.observe(node);
    return () => seen.disconnect();
  }
  const plan = $derived(tonight.plan);
</script>

<div class="no-print" {@attach watched}>{@render children()}</div>
{#if away && (tonight.refused || plan)}
  <!-- A second sight of what is told above: nothing new for who listens. -->
  <div class="in-sight no-print" aria-hidden="true">
    <p class="mx-auto flex max-w-[1400px] items-baseline gap-x-4 px-4 py-2 sm:px-6">
      {#if tonight.refused && tonight.problem}
        <strong class="text-secondary display text-lg">{tonight.problem.title}</strong>
        <span class="hidden truncate sm:block">{tonight.problem.detail}</span>
      {:else if plan}
        <strong class="display truncate text-lg">{plan.title}</strong>
        <span class="whitespace-nowrap"
          ><span class="hidden sm:inline"
            >{dayName(dayOf(plan.serveAt, kitchen.zone), kitchen.nowLocal.slice(0, 10))}</span
          >
          <span class="text-secondary font-semibold">{clock(plan.serveAt, kitchen.zone)}</span></span
        >
        <span class="ml-auto hidden whitespace-nowrap sm:inline">{dinnersOf(plan.withLooks)}</span>
        <span class="ml-auto whitespace-nowrap sm:hidden">{dinnersOf(plan.withLooks, true)}</span>
      {/if}
    </p>
  </div>
{/if}
