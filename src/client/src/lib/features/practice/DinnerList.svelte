<script lang="ts">
  import { onMount } from 'svelte';
  import { api, type PracticeLevel, type PracticeReady } from '../../api/client';
  import { dinnerStory, dinnerTitle } from '../../format/practice';
  import { say } from '../../messages/say';
  import type { Load } from '../../state/load';
  import { begin, underWay } from '../../state/practiceDinner.svelte';

  type Props = { address: string };
  let { address }: Props = $props();
  let ready = $state.raw<Load<PracticeReady[]>>({ state: 'loading' });
  let level = $state<PracticeLevel>('usual');
  const going = underWay();
  onMount(async () => {
    const answer = await api.practiceReady();
    ready = answer.ok
      ? { state: 'ready', value: answer.value }
      : { state: 'failed', problem: answer.problem };
  });
</script>

<section class="mt-8" aria-labelledby="dinners-title">
  <h2 id="dinners-title" class="text-2xl">{say('practice.dinners')}</h2>
  <p class="mt-1 max-w-prose text-lg">{say('practice.dinners.intro')}</p>
  <div class="mt-3 flex flex-wrap items-center gap-3">
    <span class="flex flex-wrap gap-2" role="group" aria-label={say('practice.level_label')}>
      {#each ['calm', 'usual', 'busy'] as const as id (id)}
        <button
          class="btn stove-btn h-auto min-h-12 whitespace-normal"
          class:btn-primary={level === id}
          aria-pressed={level === id}
          onclick={() => (level = id)}>{say(`practice.level.${id}`)}</button
        >
      {/each}
    </span>
    {#if going}
      <a class="btn btn-primary h-auto min-h-12 py-2 whitespace-normal" href={address}
        >{say('practice.resume', { title: going.title })}</a
      >
    {/if}
  </div>
  {#if ready.state === 'failed'}
    <p class="text-error mt-3 text-lg" role="alert">{ready.problem.detail}</p>
  {:else if ready.state === 'ready' && ready.value.length === 0}
    <p class="mt-3 text-lg">{say('practice.dinners.none')}</p>
  {:else if ready.state === 'ready'}
    <ul class="mt-4 grid gap-4 md:grid-cols-2 xl:grid-cols-3">
      {#each ready.value as dinner (dinner.id)}
        <li class="dish relative flex flex-col p-4">
          <h3 class="text-xl">
            <a
              class="underline-offset-4 after:absolute after:inset-0 hover:underline"
              href={address}
              onclick={() => begin(dinnerTitle(dinner.id), dinner, level)}>{dinnerTitle(dinner.id)}</a
            >
          </h3>
          <p class="mt-1 grow">{dinnerStory(dinner)}</p>
        </li>
      {/each}
    </ul>
  {/if}
</section>
