<script lang="ts">
  import { NotebookPen, Plus, SlidersHorizontal } from '@lucide/svelte';
  import { untrack } from 'svelte';
  import { MediaQuery } from 'svelte/reactivity';
  import FirstRun from '../lib/features/kitchen/FirstRun.svelte';
  import BesideCard from '../lib/features/tonight/BesideCard.svelte';
  import DishForm from '../lib/features/tonight/DishForm.svelte';
  import InSight from '../lib/features/tonight/InSight.svelte';
  import PlanView from '../lib/features/tonight/PlanView.svelte';
  import RefusalCard from '../lib/features/tonight/RefusalCard.svelte';
  import Verdict from '../lib/features/tonight/Verdict.svelte';
  import WayList from '../lib/features/tonight/WayList.svelte';
  import { say } from '../lib/messages/say';
  import type { Kitchen } from '../lib/api/client';
  import { dinnersOf } from '../lib/format/chance';
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
    // A new household is asked about its kitchen first.
    if (kitchen.state === 'ready' && kitchen.value.isSetUp) untrack(() => follow(id, kitchen.value));
  });

  /** Room for the dish beside its answer; on a phone the answer comes first and the dish is a sheet over it. */
  const beside = new MediaQuery('(min-width: 64rem)');
  let sheet = $state<HTMLDialogElement>();

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

  function fresh() {
    leave();
    if (household.kitchen.state === 'ready') void tonight.begin(household.kitchen.value, true);
  }

  function another() {
    if (household.kitchen.state !== 'ready') return;
    const begun = tonight.beginBeside(household.kitchen.value);
    leave();
    void begun;
  }

  /** What is kept has an address of its own from now on: a reload opens it, and keeping again changes it. */
  function keptAs(id: string) {
    shown = id;
    navigate('/dinner/:id', { params: { id } });
  }
</script>

<svelte:head
  ><title>{say('page.title', { view: tonight.plan?.title ?? say('view.tonight') })}</title></svelte:head
>

{#if household.kitchen.state === 'failed'}
  <Notice title={household.kitchen.problem.title} text={household.kitchen.problem.detail}>
    <button class="btn btn-primary mt-4" onclick={() => household.load()}>{say('page.try_again')}</button>
  </Notice>
{:else if household.kitchen.state === 'ready' && !household.kitchen.value.isSetUp}
  <FirstRun kitchen={household.kitchen.value} />
{:else if household.kitchen.state === 'ready' && household.catalogue.state === 'ready'}
  {@const kitchen = household.kitchen.value}
  {@const catalogue = household.catalogue.value}
  <div class="grid gap-x-5 gap-y-3 lg:grid-cols-[20.5rem_minmax(0,1fr)]">
    <div class="no-print dish-side flex flex-col gap-3">
      <div class="flex flex-wrap gap-1">
        {#if beside.current}
          <a class="sr-only focus:not-sr-only" href="#answer">{say('page.to_answer')}</a>
        {:else}
          <button class="btn btn-outline btn-primary" onclick={() => sheet?.showModal()}
            ><SlidersHorizontal size={17} /> {say('tonight.change_dish')}</button
          >
        {/if}
        <button class="btn btn-ghost px-2" onclick={fresh}><Plus size={17} /> {say('tonight.new')}</button>
        {#if tonight.open}
          <button class="btn btn-ghost px-2" onclick={another}
            ><Plus size={17} /> {say('beside.another')}</button
          >
        {/if}
        <a class="btn btn-ghost px-2" href="/notes"><NotebookPen size={17} /> {say('tonight.notes')}</a>
      </div>
      {#if beside.current}<DishForm {tonight} {kitchen} {catalogue} />{/if}
    </div>
    <div
      id="answer"
      tabindex="-1"
      class="flex min-w-0 flex-col gap-3"
      aria-busy={tonight.asking}
      data-answered-ms={tonight.lastMilliseconds}
    >
      {#if missing}
        <Notice title={say('tonight.missing.title')} text={say('tonight.missing.text')}>
          <button class="btn btn-primary mt-4" onclick={fresh}>{say('tonight.missing.new')}</button>
        </Notice>
      {:else}
        <InSight {tonight} {kitchen}>
          {#if tonight.refused && tonight.problem}
            <RefusalCard problem={tonight.problem} {kitchen} ontake={(offer) => tonight.take(offer)} />
          {:else if tonight.plan}
            {#if tonight.problem}
              <p class="alert alert-warning mb-3" role="alert">
                {tonight.problem.detail}
              </p>
            {/if}
            <Verdict
              {tonight}
              plan={tonight.plan}
              {kitchen}
              onkept={keptAs}
              onstove={(id) => navigate(`/stove/${id}` as '/stove')}
            />
          {:else}
            <p class="p-8 text-lg">{say('tonight.waiting')}</p>
          {/if}
        </InSight>
        {#if tonight.plan && !tonight.refused}
          <BesideCard plan={tonight.plan} {kitchen} ontake={(offer) => tonight.take(offer)} />
        {/if}
        {#if tonight.plan || tonight.problem}<WayList {tonight} {kitchen} />{/if}
        {#if tonight.plan && !tonight.refused}
          <div class={tonight.problem ? 'opacity-75' : ''}>
            <PlanView {tonight} plan={tonight.plan} {kitchen} />
          </div>
        {/if}
      {/if}
    </div>
  </div>
  {#if !beside.current}
    <dialog class="modal modal-bottom" bind:this={sheet} aria-label={say('tonight.dish')}>
      <div class="modal-box bg-base-200 flex max-h-[92vh] flex-col gap-3 px-3 pt-3 pb-6">
        <form method="dialog" class="bg-base-200 sticky -top-3 z-10 flex items-center py-1">
          <h2 class="text-xl">{say('tonight.dish')}</h2>
          <!-- What the change does to the verdict behind it. -->
          <p class="ml-4 min-w-0 truncate" role="status">
            {#if tonight.refused}<span class="text-secondary font-semibold">{tonight.problem?.title}</span
              >{:else if tonight.plan}{dinnersOf(tonight.plan.withLooks)}{/if}
          </p>
          <button class="btn btn-primary ml-auto">{say('tonight.done')}</button>
        </form>
        <DishForm {tonight} {kitchen} {catalogue} />
      </div>
      <form method="dialog" class="modal-backdrop"><button tabindex="-1">{say('tonight.done')}</button></form>
    </dialog>
  {/if}
{:else}
  <p class="p-8 text-lg">{say('tonight.waiting')}</p>
{/if}
