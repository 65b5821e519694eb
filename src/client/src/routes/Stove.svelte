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

<svelte:head><title>{stove?.state ? `${stove.state.title} · ` : ''}Bright Kettle</title></svelte:head>

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
    <a class="btn btn-primary mt-4" href={p('/')}>To tonight's dinner</a>
  </Notice>
{:else if !id && problem}
  <Notice title={problem.title} text={problem.detail}>
    <button class="btn btn-primary mt-4" onclick={list}>Try again</button>
  </Notice>
{:else if !id && lines}
  <h1 class="text-3xl">At the stove</h1>
  {#if lines.length === 0}
    <p class="mt-3 text-xl">Nothing is on. Open a kept dinner and press “To the stove”.</p>
    <a class="btn btn-primary mt-4" href={p('/')}>To tonight's dinner</a>
  {:else}
    <ul class="mt-3 flex flex-col gap-3">
      {#each lines as line (line.id)}
        <li>
          <a class="dish block p-4 text-2xl" href="/stove/{line.id}">
            {line.title}
            {#if kitchen}
              <span class="block text-lg">
                {dayName(dayOf(line.serveAt, kitchen.zone), kitchen.nowLocal.slice(0, 10))}, {clock(
                  line.serveAt,
                  kitchen.zone,
                )}{line.served ? ', served' : line.setAside ? ', set aside: what became of it?' : ''}
              </span>
            {/if}
          </a>
        </li>
      {/each}
    </ul>
  {/if}
{:else}
  <p class="p-8 text-lg" aria-busy="true">Looking at the stove…</p>
{/if}
