<script lang="ts">
  import { api, type LineAnswer } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { say as sayText } from '../../messages/say';
  import { onNewest } from '../../state/newest';
  import type { Tonight } from '../../state/tonight.svelte';

  type Props = { tonight: Tonight };
  let { tonight }: Props = $props();

  let line = $state('');
  let answer = $state.raw<LineAnswer | null>(null);
  let problem = $state.raw<Problem | null>(null);

  async function say(event: SubmitEvent) {
    event.preventDefault();
    if (!line.trim()) return;
    const said = line;
    const told = await onNewest(
      () => tonight.dish,
      (dish) => api.line(said, { ...dish }),
    );
    problem = told.ok ? null : told.problem;
    answer = told.ok ? told.value : null;
    if (!told.ok) return;
    await tonight.change(told.value.dish);
    // Planned and read in whole, it makes room for the next; else it stays to be mended.
    if (told.value.notUnderstood.length === 0) line = '';
  }

  /** Another pulse of the same name. */
  async function mean(pulseId: string) {
    await tonight.change({ pulseId });
    answer = answer && { ...answer, choices: [] };
  }
</script>

<form class="dish p-4" onsubmit={say}>
  <label class="mb-1 block text-sm font-semibold" for="line">Say it in one line</label>
  <div class="join w-full">
    <input
      id="line"
      class="input join-item w-full min-w-0 text-base"
      placeholder="for six at 7 pm: lentils, rice"
      autocomplete="off"
      maxlength="400"
      bind:value={line}
      aria-describedby="line-answer"
      aria-invalid={problem ? true : undefined}
    />
    <button class="btn btn-primary join-item" type="submit">Plan</button>
  </div>
  <p id="line-answer" class="text-sm" role="status">
    {#if problem}<span class="text-error">{problem.detail}</span>
    {:else if answer}
      {#each answer.choices as choice (choice.text)}
        <span class="mt-1 flex flex-wrap items-center gap-2">
          {sayText('line.taken', { text: choice.text, name: choice.takenName })}
          {#each choice.others as other (other.pulseId)}
            <button type="button" class="btn btn-sm btn-outline" onclick={() => mean(other.pulseId)}
              >{other.name}</button
            >
          {/each}
        </span>
      {/each}
      {#if answer.understood.length}<span class="mt-1 block">Read: {answer.understood.join(', ')}.</span>{/if}
      {#if answer.notUnderstood.length}
        <span class="text-error mt-1 block">Not understood: {answer.notUnderstood.join(', ')}.</span>
      {/if}
    {/if}
  </p>
</form>
