<script lang="ts">
  import { Plus, Undo2 } from '@lucide/svelte';
  import type { StoveState } from '../../api/client';
  import { clock } from '../../format/time';
  import { say } from '../../messages/say';
  import type { PracticeDinner } from '../../state/practiceDinner.svelte';
  import AddPanel from '../stove/AddPanel.svelte';
  import InsideList from '../stove/InsideList.svelte';
  import NowCard from '../stove/NowCard.svelte';
  import RoadList from '../stove/RoadList.svelte';
  import ToldList from '../stove/ToldList.svelte';
  import VisitCard from '../stove/VisitCard.svelte';
  import DinnerEnd from './DinnerEnd.svelte';
  import DinnerSight from './DinnerSight.svelte';
  import DinnerTime from './DinnerTime.svelte';

  type Props = { dinner: PracticeDinner; evening: StoveState; all: string; again: () => void };
  let { dinner, evening, all, again }: Props = $props();
  let adding = $state(false);
  const moment = $derived(evening.moments.find((m) => m.id === evening.nowId));
  const visits = $derived(evening.visits.filter((v) => Date.parse(v.at) <= dinner.clock.now));
</script>

<div class="flex flex-wrap items-baseline justify-between gap-x-6">
  <h1 class="text-2xl">{evening.title}</h1>
  <p class="text-lg">{say('practice.wanted', { time: clock(evening.wantedAt, evening.zone) })}</p>
  <a class="btn btn-ghost" href={all}>{say('practice.title')}</a>
</div>
{#if dinner.end}
  <div class="mt-3"><DinnerEnd end={dinner.end} {evening} {again} {all} /></div>
{:else}
  <div class="mt-2"><DinnerTime {dinner} zone={evening.zone} /></div>
  <div class="mt-3 grid gap-4 lg:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]" aria-busy={dinner.busy}>
    <div class="min-w-0">
      {#if dinner.problem}<p class="text-error mb-3 text-lg" role="alert">{dinner.problem.detail}</p>{/if}
      {#each evening.gates as gate (gate.code)}
        <section
          class="alert alert-error alert-vertical mb-3 justify-items-start text-left text-lg"
          role="alert"
        >
          <strong class="block text-xl">{say(`caution.${gate.code}.title`)}</strong>
          {say(`caution.${gate.code}.text`)}
        </section>
      {/each}
      {#if moment}{#key moment.id}<NowCard stove={dinner} state={evening} {moment} />{/key}{/if}
      {#each dinner.refused as refused (refused.entry.eventId)}
        <p class="alert alert-error mt-3 text-lg" role="alert">
          <span>{say('stove.refused', { text: refused.text })}</span>
          <button class="btn stove-btn" onclick={() => dinner.forget(refused)}
            >{say('stove.refused.ok')}</button
          >
        </p>
      {/each}
      {#each visits as visit (visit.code + visit.vesselId)}
        <VisitCard stove={dinner} {visit} {evening} ontrouble={() => (adding = true)} />
      {/each}
      <div class="mt-4 flex flex-wrap gap-3">
        <button class="btn stove-btn" aria-expanded={adding} onclick={() => (adding = !adding)}>
          <Plus size={22} />
          {say('stove.add')}
        </button>
        {#if dinner.last}
          <button class="btn stove-btn" onclick={() => dinner.last && dinner.undo(dinner.last.eventId)}
            ><Undo2 size={22} /> {say('stove.undo')}</button
          >
        {/if}
      </div>
      {#if adding}
        <AddPanel stove={dinner} {evening} onclose={() => (adding = false)} />
      {/if}
    </div>
    <div class="flex min-w-0 flex-col gap-4">
      {#if dinner.seen}<DinnerSight {dinner} seen={dinner.seen} {evening} />{/if}
      <RoadList {evening} now={dinner.clock.now} />
      <InsideList stove={dinner} {evening} />
      <ToldList stove={dinner} {evening} />
    </div>
  </div>
{/if}
