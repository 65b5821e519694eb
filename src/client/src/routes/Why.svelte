<script lang="ts">
  import { tick } from 'svelte';
  import { X } from '@lucide/svelte';
  import { api } from '../lib/api/client';
  import FigureTable from '../lib/features/why/FigureTable.svelte';
  import ReasonCard from '../lib/features/why/ReasonCard.svelte';
  import { Reasons } from '../lib/features/why/search';
  import { say } from '../lib/messages/say';
  import type { Load } from '../lib/state/load';
  import Notice from '../lib/ui/Notice.svelte';

  let reasons = $state.raw<Load<Reasons>>({ state: 'loading' });
  let question = $state('');
  let field = $state<HTMLInputElement>();
  const found = $derived(reasons.state === 'ready' ? reasons.value.found(question) : null);
  /** The reason that a link elsewhere led to. */
  let meant = $state('');

  async function load() {
    reasons = { state: 'loading' };
    const answer = await api.reasons();
    reasons = answer.ok
      ? { state: 'ready', value: new Reasons(answer.value) }
      : { state: 'failed', problem: answer.problem };
    await show();
  }
  async function show() {
    meant = decodeURIComponent(location.hash.slice(1));
    await tick();
    const card = meant ? document.getElementById(meant) : null;
    card?.scrollIntoView({ block: 'center' });
    card?.querySelector('summary')?.focus();
  }
  $effect(() => {
    void load();
  });
  function clear() {
    question = '';
    field?.focus();
  }
</script>

<svelte:window onhashchange={show} />
<svelte:head><title>{say('page.title', { view: say('why.title') })}</title></svelte:head>
<h1 class="text-3xl">{say('why.title')}</h1>
<form role="search" class="mt-3 max-w-xl" onsubmit={(e) => e.preventDefault()}>
  <label class="mb-1 block text-sm font-semibold" for="question">{say('why.search')}</label>
  <div class="join w-full">
    <input
      id="question"
      class="input join-item w-full text-base"
      placeholder={say('why.example')}
      autocomplete="off"
      maxlength="200"
      bind:this={field}
      bind:value={question}
    />
    {#if question}
      <button type="button" class="btn join-item" aria-label={say('why.clear')} onclick={clear}
        ><X size={18} /></button
      >
    {/if}
  </div>
</form>
{#if reasons.state === 'failed'}
  <Notice title={reasons.problem.title} text={reasons.problem.detail}>
    <button class="btn btn-primary mt-4" onclick={load}>{say('page.try_again')}</button>
  </Notice>
{:else if reasons.state === 'loading'}
  <p class="p-4" aria-busy="true">{say('why.loading')}</p>
{:else if found}
  <section class="mt-5" aria-labelledby="found-title" aria-live="polite">
    {#if found.length}
      <h2 id="found-title" class="text-xl">{say('why.best')}</h2>
      <div class="dish mt-2">
        {#each found.slice(0, 6) as reason, i (reason.id)}<ReasonCard {reason} open={i === 0} />{/each}
      </div>
    {:else}
      <h2 id="found-title" class="text-lg">{say('why.nothing')}</h2>
    {/if}
  </section>
{:else}
  <div class="mt-5 columns-1 gap-6 lg:columns-2">
    {#each reasons.value.bySubject() as { subject, reasons: list } (subject)}
      <section class="mb-6 break-inside-avoid" aria-labelledby="subject-{subject}">
        <h2 id="subject-{subject}" class="text-xl">{say(`why.subject.${subject}`)}</h2>
        <div class="dish mt-2">
          {#each list as reason (reason.id)}<ReasonCard {reason} open={reason.id === meant} />{/each}
        </div>
      </section>
    {/each}
  </div>
{/if}
<FigureTable />
