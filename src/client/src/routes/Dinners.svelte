<script lang="ts">
  import { NotebookPen, Plus, Sheet } from '@lucide/svelte';
  import { onMount, tick } from 'svelte';
  import { api, type DinnerLine, type Kitchen } from '../lib/api/client';
  import DinnerItem from '../lib/features/dinners/DinnerItem.svelte';
  import { say } from '../lib/messages/say';
  import { writeDraft } from '../lib/state/draft';
  import { again, grouped } from '../lib/state/groups';
  import { kept } from '../lib/state/kept.svelte';
  import { household } from '../lib/state/kitchen.svelte';
  import { saveFile } from '../lib/ui/saveFile';
  import Notice from '../lib/ui/Notice.svelte';
  import { navigate } from '../router';

  onMount(() => void kept.load());

  /** How long the hand must rest before it is searched, ms. */
  const rest = 200;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let undo = $state<HTMLButtonElement>();
  let told = $state('');

  function typed(words: string) {
    clearTimeout(timer);
    timer = setTimeout(() => void kept.search(words), rest);
  }

  async function repeat(line: DinnerLine, kitchen: Kitchen) {
    const dinner = await kept.open(line.id);
    if (!dinner) return;
    writeDraft(again(dinner.dish, kitchen.nowLocal));
    navigate('/');
  }

  async function table() {
    const answer = await api.dinnerTable();
    kept.problem = answer.ok ? null : answer.problem;
    const file = 'dinners.csv';
    if (answer.ok) saveFile(answer.value as unknown as Blob, file);
    told = answer.ok ? say('dinners.table_saved', { file }) : '';
  }

  async function rename(line: DinnerLine, title: string) {
    const done = await kept.rename(line, title);
    told = done ? say('dinners.renamed', { title }) : '';
    return done;
  }

  async function remove(line: DinnerLine) {
    told = '';
    await kept.remove(line);
    await tick();
    // What was pressed is gone: the hand finds the way back.
    undo?.focus();
  }
</script>

<svelte:head><title>{say('page.title', { view: say('dinners.title') })}</title></svelte:head>

{#snippet group(title: string, lines: DinnerLine[], kitchen: Kitchen)}
  {#if lines.length}
    <section class="dish px-4 pt-3 pb-1">
      <h2 class="text-xl">{title}</h2>
      <ul>
        {#each lines as line (line.id)}
          <DinnerItem
            {line}
            {kitchen}
            onagain={() => void repeat(line, kitchen)}
            onrename={(title) => rename(line, title)}
            onremove={() => void remove(line)}
          />
        {/each}
      </ul>
    </section>
  {/if}
{/snippet}

<div class="mx-auto flex max-w-4xl flex-col gap-4">
  <div class="flex flex-wrap items-end gap-x-4 gap-y-2">
    <h1 class="text-3xl">{say('dinners.title')}</h1>
    <span class="ml-auto flex gap-1">
      <a class="btn btn-ghost" href="/notes"><NotebookPen size={17} /> {say('dinners.notes')}</a>
      <a class="btn btn-outline btn-primary" href="/"><Plus size={17} /> {say('dinners.new')}</a>
    </span>
  </div>
  <div>
    <label class="mb-1 block text-sm font-semibold" for="find">{say('dinners.find')}</label>
    <input
      id="find"
      type="search"
      class="input w-full text-base"
      maxlength="120"
      placeholder={say('dinners.find.hint')}
      value={kept.find}
      oninput={(e) => typed(e.currentTarget.value)}
    />
  </div>
  <p role="status" class="empty:hidden">
    {#if kept.deleted}
      <span class="bg-base-100 border-primary flex items-center gap-3 rounded-lg border px-4 py-2">
        <span class="min-w-0 flex-1">{say('dinners.removed', { title: kept.deleted.title })}</span>
        <button class="btn btn-sm btn-primary" bind:this={undo} onclick={() => kept.undo()}
          >{say('dinners.undo')}</button
        >
      </span>
    {:else if told}
      {told}
    {:else if kept.find.trim() && kept.list.state === 'ready'}
      {say('dinners.found', { count: kept.list.value.length })}
    {/if}
  </p>
  {#if kept.problem}<p class="text-error" role="alert">{kept.problem.detail}</p>{/if}
  {#if kept.list.state === 'failed'}
    <Notice title={kept.list.problem.title} text={kept.list.problem.detail}>
      <button class="btn btn-primary mt-4" onclick={() => kept.load()}>{say('page.try_again')}</button>
    </Notice>
  {:else if kept.list.state === 'ready' && household.kitchen.state === 'ready'}
    {@const kitchen = household.kitchen.value}
    {@const groups = grouped(kept.list.value, kitchen.now)}
    {@render group(say('dinners.under_way'), groups.underWay, kitchen)}
    {@render group(say('dinners.planned'), groups.planned, kitchen)}
    {@render group(say('dinners.past'), groups.past, kitchen)}
    {#if !kept.list.value.length && !kept.find.trim()}
      <p class="dish p-6 text-lg">{say('dinners.empty')}</p>
    {/if}
    <span class="flex flex-wrap justify-center gap-2">
      {#if kept.next}
        <button class="btn btn-ghost" onclick={() => kept.more()}>{say('dinners.more')}</button>
      {/if}
      {#if kept.list.value.length}
        <button class="btn btn-ghost" onclick={() => void table()}
          ><Sheet size={17} /> {say('dinners.table')}</button
        >
      {/if}
    </span>
  {/if}
</div>
