<script lang="ts">
  import { Repeat } from '@lucide/svelte';
  import { api, type DinnerLog, type Kitchen } from '../lib/api/client';
  import type { Problem } from '../lib/api/problem';
  import AgainstFact from '../lib/features/dinners/AgainstFact.svelte';
  import VerdictForm from '../lib/features/dinners/VerdictForm.svelte';
  import { dinnersOf } from '../lib/format/chance';
  import { lateness, logRows } from '../lib/format/log';
  import { bagName, paceTime } from '../lib/format/pace';
  import { toldLine } from '../lib/format/stove';
  import { clock, dayName, dayOf, range } from '../lib/format/time';
  import { say } from '../lib/messages/say';
  import { writeDraft } from '../lib/state/draft';
  import { again } from '../lib/state/groups';
  import { kept } from '../lib/state/kept.svelte';
  import { household } from '../lib/state/kitchen.svelte';
  import Notice from '../lib/ui/Notice.svelte';
  import { navigate, route } from '../router';

  let log = $state.raw<DinnerLog | null>(null);
  let problem = $state.raw<Problem | null>(null);
  const id = $derived((route.params as { id?: string }).id ?? '');

  $effect(() => void load(id));

  async function load(which: string) {
    const answer = await api.log(which);
    if (which !== id) return;
    log = answer.ok ? answer.value : null;
    problem = answer.ok ? null : answer.problem;
  }

  async function repeat(kitchen: Kitchen) {
    const dinner = await kept.open(id);
    if (!dinner) return;
    writeDraft(again(dinner.dish, kitchen.nowLocal));
    navigate('/');
  }

  const names = $derived(
    log && {
      pulseName: log.pulseName,
      order: log.order,
      riceRinse: log.riceRinse,
      moments: [],
      seeds: log.names,
      inside: log.names.map((n) => ({ ingredient: n.id, name: n.name })),
    },
  );
</script>

<svelte:head><title>{say('page.title', { view: log?.title ?? say('dinners.title') })}</title></svelte:head>
{#if problem}
  <Notice title={problem.title} text={problem.detail}>
    <a class="btn btn-primary mt-4" href="/dinners">{say('dinners.title')}</a>
  </Notice>
{:else if log && names && household.kitchen.state === 'ready'}
  {@const kitchen = household.kitchen.value}
  {@const today = kitchen.nowLocal.slice(0, 10)}
  {@const looks = log.looks}
  <div class="flex flex-wrap items-start gap-x-6 gap-y-2">
    <div class="min-w-0 flex-1 basis-96">
      <h1 class="text-3xl">{log.title}</h1>
      <p class="mt-1">
        {say('log.cooked', { day: dayName(dayOf(log.servedAt ?? log.startedAt, kitchen.zone), today) })}
        {#if log.servedAt}{say('log.served', {
            time: clock(log.servedAt, kitchen.zone),
            ...lateness(log),
          })}{:else}{say('log.never')}{/if}
        {say('log.planned', {
          when: range(log.table.early, log.table.late, kitchen.zone),
          chance: dinnersOf(log.withLooks),
        })}
      </p>
    </div>
    <div class="no-print flex gap-1">
      {#if !log.finished}<a class="btn" href="/stove/{log.id}">{say('log.to_stove')}</a>{/if}
      <button class="btn btn-outline btn-primary" onclick={() => void repeat(kitchen)}
        ><Repeat size={17} /> {say('log.again')}</button
      >
    </div>
  </div>
  <div class="mt-3 grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_21rem]">
    <div class="flex min-w-0 flex-col gap-4">
      <section class="dish p-4" aria-labelledby="fact-title">
        <h2 id="fact-title" class="mb-1 text-xl">{say('log.picture')}</h2>
        <AgainstFact rows={logRows(log)} zone={kitchen.zone} />
      </section>
      <section class="dish p-4" aria-labelledby="seen-title">
        <h2 id="seen-title" class="text-xl">{say('log.seen')}</h2>
        {#if looks.length === 0}<p class="mt-1">{say('log.seen.none')}</p>{/if}
        <ul class="mt-1 gap-x-8 sm:columns-2">
          {#each looks as look (look.entry.eventId)}
            <li class="flex gap-3 py-0.5">
              <time class="hour tabular-nums" datetime={look.entry.occurredAt}
                >{clock(look.entry.occurredAt, kitchen.zone)}</time
              >
              <span class="min-w-0 flex-1">{toldLine(look, names)}</span>
            </li>
          {/each}
        </ul>
      </section>
    </div>
    <div class="flex flex-col gap-4">
      {#key log.id}
        <VerdictForm {log} now={kitchen.now} onsaved={(anew) => (log = anew)} />
      {/key}
      <section class="dish p-4" aria-labelledby="taught-title">
        <h2 id="taught-title" class="text-xl">{say('log.taught')}</h2>
        {#if log.leftOut}
          <p class="mt-1">{say('log.taught.out')}</p>
        {:else if log.bags.length === 0}
          <p class="mt-1">{say('log.taught.none')}</p>
        {/if}
        {#each log.bags as bag (bag.id)}
          <p class="mt-1">{say('log.taught.bag', { bag: bagName(bag), time: paceTime(bag) })}</p>
        {/each}
        <a class="link mt-1 inline-block" href="/cupboard">{say('cupboard.title')}</a>
      </section>
    </div>
  </div>
{:else}
  <p class="p-8 text-lg" aria-busy="true">{say('log.loading')}</p>
{/if}
