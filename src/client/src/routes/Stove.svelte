<script lang="ts">
  import StoveView from '../lib/features/stove/StoveView.svelte';
  import { api, type StoveLine } from '../lib/api/client';
  import type { Problem } from '../lib/api/problem';
  import { household } from '../lib/state/kitchen.svelte';
  import { OtherPots } from '../lib/state/stove/others.svelte';
  import { Stove } from '../lib/state/stove/stove.svelte';
  import { clock, dayName, dayOf } from '../lib/format/time';
  import Notice from '../lib/ui/Notice.svelte';
  import { navigate, p, route } from '../router';
  import { say } from '../lib/messages/say';

  const id = $derived((route.params as { id?: string }).id ?? null);
  let stove = $state.raw<Stove | null>(null);
  let others = $state.raw<OtherPots | null>(null);
  let lines = $state.raw<StoveLine[] | null>(null);
  let problem = $state.raw<Problem | null>(null);

  $effect(() => {
    if (!id) {
      stove = null;
      void list();
      return;
    }
    const opened = new Stove(id);
    const beside = new OtherPots(id);
    [stove, others] = [opened, beside];
    void opened.open();
    beside.open();
    return () => {
      opened.close();
      beside.close();
    };
  });

  async function list() {
    const answer = await api.stoves();
    problem = answer.ok ? null : answer.problem;
    lines = answer.ok ? answer.value : null;
    if (answer.ok && answer.value.length === 1 && answer.value[0])
      navigate(`/stove/${answer.value[0].id}` as '/stove');
  }
  const kitchen = $derived(household.kitchen.state === 'ready' ? household.kitchen.value : null);
</script>

<svelte:head
  ><title>{say('page.title', { view: stove?.state?.title ?? say('view.stove') })}</title></svelte:head
>

{#if id && stove?.state && others}
  <StoveView
    {stove}
    {others}
    evening={stove.state}
    onfinished={() =>
      // One that came to the table has a log to look at; of a forgotten one nothing is known.
      navigate(stove?.state?.after ? (`/dinners/${stove.id}` as '/dinners') : '/stove')}
  />
{:else if id && stove?.problem}
  <Notice title={stove.problem.title} text={stove.problem.detail}>
    <a class="btn btn-primary mt-4" href={p('/')}>{say('page.to_tonight')}</a>
  </Notice>
{:else if !id && problem}
  <Notice title={problem.title} text={problem.detail}>
    <button class="btn btn-primary mt-4" onclick={list}>{say('page.try_again')}</button>
  </Notice>
{:else if !id && lines}
  <h1 class="text-3xl">{say('stove.none.title')}</h1>
  {#if lines.length === 0}
    <p class="mt-3 text-xl">{say('stove.none.text')}</p>
    <a class="btn btn-primary mt-4" href={p('/')}>{say('page.to_tonight')}</a>
  {:else}
    <ul class="mt-3 flex flex-col gap-3">
      {#each lines as line (line.id)}
        <li>
          <a class="dish block p-4 text-2xl" href="/stove/{line.id}">
            {line.title}
            {#if kitchen}
              <span class="block text-lg">
                {say('stove.line', {
                  day: dayName(dayOf(line.serveAt, kitchen.zone), kitchen.nowLocal.slice(0, 10)),
                  time: clock(line.serveAt, kitchen.zone),
                  state: line.served ? 'served' : line.setAside ? 'aside' : null,
                })}
              </span>
            {/if}
          </a>
        </li>
      {/each}
    </ul>
  {/if}
{:else}
  <p class="p-8 text-lg" aria-busy="true">{say('stove.looking')}</p>
{/if}
