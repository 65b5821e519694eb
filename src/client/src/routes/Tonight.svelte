<script lang="ts">
  import DishForm from '../lib/features/tonight/DishForm.svelte';
  import KeptList from '../lib/features/tonight/KeptList.svelte';
  import PlanView from '../lib/features/tonight/PlanView.svelte';
  import RefusalCard from '../lib/features/tonight/RefusalCard.svelte';
  import WayChart from '../lib/features/tonight/WayChart.svelte';
  import { addDays } from '../lib/format/time';
  import { onMount, untrack } from 'svelte';
  import type { Kitchen } from '../lib/api/client';
  import { kept } from '../lib/state/kept.svelte';
  import { household } from '../lib/state/kitchen.svelte';
  import { Tonight } from '../lib/state/tonight.svelte';
  import Notice from '../lib/ui/Notice.svelte';
  import { navigate, route } from '../router';

  const tonight = new Tonight();
  let missing = $state(false);
  /** The address that the page was brought to: a kept dinner's id, or null for the draft. */
  let shown: string | null | undefined;

  // The page follows its address, and nothing else: what is on it may change without being opened anew.
  $effect(() => {
    const kitchen = household.kitchen;
    const id = (route.params as { id?: string }).id ?? null;
    if (kitchen.state === 'ready') untrack(() => follow(id, kitchen.value));
  });
  onMount(() => void kept.load());

  function follow(id: string | null, kitchen: Kitchen) {
    if (id === shown) return;
    const first = shown === undefined;
    shown = id;
    missing = false;
    if (id === null) {
      if (first || tonight.open) void tonight.begin(kitchen);
    } else if (tonight.open?.id !== id) {
      void kept.open(id).then((dinner) => {
        // Another address was gone to while this one was read.
        if (shown !== id) return;
        missing = !dinner;
        if (dinner) void tonight.show(dinner);
      });
    }
  }

  /** To the page without a kept dinner; what stands on it then is for the caller. */
  function leave() {
    tonight.open = null;
    shown = null;
    missing = false;
    navigate('/');
  }

  /** A kept dinner as a pattern: the same dish on the next day that its hour comes, to be kept as a new one. */
  async function again(id: string) {
    const dinner = await kept.open(id);
    const kitchen = household.kitchen;
    if (!dinner || kitchen.state !== 'ready') return;
    const now = kitchen.value.nowLocal;
    const hour = dinner.dish.serveAtLocal.slice(10);
    const today = now.slice(0, 10);
    const day = dinner.dish.soak === 'overnight' || today + hour <= now ? addDays(today, 1) : today;
    leave();
    await tonight.change({ ...dinner.dish, serveAtLocal: day + hour });
  }

  function fresh() {
    leave();
    if (household.kitchen.state === 'ready') void tonight.begin(household.kitchen.value, true);
  }

  /** What is kept has an address of its own from now on: a reload opens it, and keeping again changes it. */
  function keptAs(id: string) {
    shown = id;
    navigate('/dinner/:id', { params: { id } });
  }
</script>

<svelte:head><title>{tonight.plan ? `${tonight.plan.title} · ` : ''}Bright Kettle</title></svelte:head>

{#if household.kitchen.state === 'failed'}
  <Notice title={household.kitchen.problem.title} text={household.kitchen.problem.detail}>
    <button class="btn btn-primary mt-4" onclick={() => household.load()}>Try again</button>
  </Notice>
{:else if household.kitchen.state === 'ready' && household.catalogue.state === 'ready'}
  {@const kitchen = household.kitchen.value}
  <div class="grid gap-5 lg:grid-cols-[20.5rem_minmax(0,1fr)]">
    <div class="no-print flex flex-col gap-5">
      <DishForm {tonight} {kitchen} catalogue={household.catalogue.value} />
      <KeptList {kitchen} openId={tonight.open?.id ?? null} onfresh={fresh} onagain={again} />
    </div>
    <div class="min-w-0" aria-busy={tonight.asking} data-answered-ms={tonight.lastMilliseconds}>
      {#if missing}
        <Notice title="Not here" text="This dinner is not kept here any more. Plan a new one beside.">
          <button class="btn btn-primary mt-4" onclick={fresh}>A new dinner</button>
        </Notice>
      {:else if tonight.problem && !(tonight.problem.status === 0 && tonight.plan)}
        <RefusalCard problem={tonight.problem} {kitchen} ontake={(offer) => tonight.take(offer)} />
      {:else if tonight.plan}
        {#if tonight.problem}
          <p class="bg-warning text-warning-content mb-3 rounded-lg px-4 py-2" role="alert">
            {tonight.problem.detail}
          </p>
        {/if}
        <PlanView
          {tonight}
          plan={tonight.plan}
          {kitchen}
          onkept={keptAs}
          onstove={(id) => navigate(`/stove/${id}` as '/stove')}
        />
      {:else}
        <p class="p-8 text-lg">Setting the pot on…</p>
      {/if}
      {#if !missing && (tonight.plan || tonight.problem)}<WayChart {tonight} {kitchen} />{/if}
    </div>
  </div>
{:else}
  <p class="p-8 text-lg">Setting the pot on…</p>
{/if}
