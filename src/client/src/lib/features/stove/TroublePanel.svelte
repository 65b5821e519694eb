<script lang="ts">
  import FigureField from '../../ui/FigureField.svelte';
  import { api, type StoveAnswer, type StoveState, type Trouble } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { troubles } from '../../format/stove';
  import { say } from '../../messages/say';
  import type { Stove } from '../../state/stove/stove.svelte';
  import AnswerList from './AnswerList.svelte';

  type Props = { stove: Stove; evening: StoveState; first: Trouble | null; onclose: () => void };
  let { stove, evening, first, onclose }: Props = $props();

  // svelte-ignore state_referenced_locally
  let chosen = $state<Trouble | null>(first);
  let minutes = $state(10);
  let answers = $state.raw<StoveAnswer[] | null>(null);
  let problem = $state.raw<Problem | null>(null);
  let asking = $state(false);
  const trouble = $derived(troubles.find((t) => t.id === chosen));

  async function ask(id: Trouble) {
    chosen = id;
    asking = true;
    const long = troubles.find((t) => t.id === id)?.minutes ?? false;
    const answer = await api.trouble(stove.id, {
      trouble: id,
      minutes: long ? minutes : null,
      percent: null,
    });
    asking = false;
    problem = answer.ok ? null : answer.problem;
    answers = answer.ok ? answer.value.answers : null;
  }
  $effect(() => {
    if (first) void ask(first);
  });

  function choose(answer: StoveAnswer) {
    const long = trouble?.minutes ?? false;
    stove.tell({ kind: 'chose', what: answer.code, state: chosen, count: long ? minutes : null });
    onclose();
  }
</script>

<section class="dish mt-4 p-5" aria-labelledby="trouble" aria-busy={asking}>
  <div class="flex items-center justify-between gap-3">
    <h2 id="trouble" class="text-2xl">{say('trouble.title')}</h2>
    <button class="btn stove-btn btn-ghost" onclick={onclose}>{say('panel.close')}</button>
  </div>
  <div class="mt-3 grid grid-cols-2 gap-2 sm:grid-cols-4 lg:grid-cols-5">
    {#each troubles as t (t.id)}
      <button
        class="btn stove-btn leading-tight"
        class:btn-primary={chosen === t.id}
        aria-pressed={chosen === t.id}
        onclick={() => ask(t.id)}>{t.name}</button
      >
    {/each}
  </div>
  {#if trouble?.minutes}
    <label class="mt-3 flex flex-wrap items-center gap-3 text-xl">
      {say('trouble.for', { trouble: chosen })}
      <FigureField
        width="w-24"
        min="1"
        max="240"
        bind:value={minutes}
        onchange={() => chosen && ask(chosen)}
      />
      {say('trouble.minutes')}
    </label>
  {/if}
  {#if problem}
    <p class="text-error mt-3 text-lg" role="alert">
      {problem.status === 0 ? say('trouble.no_connection') : problem.detail}
    </p>
  {:else if answers && answers.length === 0}
    <p class="mt-3 text-lg">{say('trouble.nothing')}</p>
  {:else if answers}
    <AnswerList {answers} {evening} onchoose={choose} />
  {/if}
</section>
