<script lang="ts">
  import { v7 as uuid } from 'uuid';
  import { api, type BagDinner, type Kitchen } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { factor, type Bag } from '../../format/pace';
  import { dayName, dayOf } from '../../format/time';
  import { say } from '../../messages/say';
  import { household } from '../../state/kitchen.svelte';
  import PaceBar from './PaceBar.svelte';

  type Props = { bag: Bag; kitchen: Kitchen };
  let { bag, kitchen }: Props = $props();

  let dinners = $state.raw<BagDinner[] | null>(null);
  let problem = $state<Problem | null>(null);

  async function load() {
    const answer = await api.bagDinners(bag.id);
    if (answer.ok) dinners = answer.value;
    problem = answer.ok ? null : answer.problem;
  }

  /** All that was learned follows at once. */
  async function leave(dinner: BagDinner) {
    const mark = { eventId: uuid(), occurredAt: kitchen.now, basedOn: dinner.version };
    const answer = await (dinner.leftOut ? api.count(dinner.id, mark) : api.leaveOut(dinner.id, mark));
    problem = answer.ok ? null : answer.problem;
    await Promise.all([load(), household.refresh()]);
  }

  $effect(() => void load());
</script>

{#if problem}<p class="text-error text-sm" role="alert">{problem.detail}</p>{/if}
{#if dinners?.length === 0}
  <p class="text-[0.95rem]">{say('cupboard.why.none')}</p>
{:else if dinners && bag.pace}
  <PaceBar pace={bag.pace} {dinners} />
  <ul class="mt-1">
    {#each dinners as d (d.id)}
      <li
        class="border-base-300 grid grid-cols-[1fr_auto] items-center gap-x-3 border-t py-1 first:border-t-0"
      >
        <a class="font-semibold" href="/dinners/{d.id}">{d.title}</a>
        <span class="text-right tabular-nums"
          >{d.leftOut ? say('cupboard.dinner.left_out') : factor(d.time)}</span
        >
        <span class="text-sm">{dayName(dayOf(d.serveAt, kitchen.zone), kitchen.nowLocal.slice(0, 10))}</span>
        <button
          class="btn btn-ghost btn-sm -mr-2"
          onclick={() => void leave(d)}
          aria-label={say(d.leftOut ? 'cupboard.dinner.in.of' : 'cupboard.dinner.out.of', {
            dinner: d.title,
          })}>{say(d.leftOut ? 'cupboard.dinner.in' : 'cupboard.dinner.out')}</button
        >
      </li>
    {/each}
  </ul>
{/if}
