<script lang="ts">
  import { tick } from 'svelte';
  import { say } from '../../messages/say';
  import { SaidLine } from '../../state/line.svelte';
  import type { Tonight } from '../../state/tonight.svelte';

  type Props = { tonight: Tonight };
  let { tonight }: Props = $props();

  // svelte-ignore state_referenced_locally
  const line = new SaidLine(tonight);
  let input = $state<HTMLInputElement>();

  const heard = $derived(line.answer?.parts.flatMap((p) => (p.means ? [p.means] : [])) ?? []);
  const missed = $derived(line.answer?.notUnderstood ?? []);

  /** Its words under the hand: what is typed takes their place. */
  async function change(start: number, length: number) {
    line.edit();
    await tick();
    input?.focus();
    input?.setSelectionRange(start, start + length);
  }

  function send(event: SubmitEvent) {
    event.preventDefault();
    void line.plan();
  }
</script>

<form class="dish p-4" onsubmit={send}>
  <label class="mb-1 block text-sm font-semibold" for="line">{say('line.label')}</label>
  <div class="join w-full">
    <input
      id="line"
      class="input join-item w-full min-w-0 text-base"
      placeholder={say('line.example')}
      autocomplete="off"
      maxlength="400"
      bind:this={input}
      value={line.text}
      oninput={(e) => line.type(e.currentTarget.value)}
      aria-describedby="line-answer"
      aria-invalid={line.problem ? true : undefined}
    />
    <button class="btn btn-primary join-item" type="submit">{say('line.plan')}</button>
  </div>
  {#if line.answer?.parts.length}
    <ul
      class="mt-2 flex flex-wrap gap-1.5"
      aria-label={line.planned ? say('line.planned') : say('line.so_far')}
    >
      {#each line.answer.parts as part (part.start)}
        <li class="said" class:unread={!part.means}>
          <button
            type="button"
            class="px-2 py-1"
            aria-label="{part.means ?? say('line.unread', { text: part.text })}. {say('line.change', {
              text: part.text,
            })}"
            onclick={() => change(part.start, part.length)}
            >{part.means ?? say('line.doubt', { text: part.text })}</button
          >
          <button
            type="button"
            class="said-away px-1.5 py-1"
            aria-label={say('line.remove', { text: part.text })}
            onclick={() => line.remove(part.start, part.length)}>×</button
          >
        </li>
      {/each}
    </ul>
  {/if}
  {#each line.answer?.choices ?? [] as choice (choice.text)}
    <p class="mt-2 flex flex-wrap items-center gap-2 text-sm">
      {say('line.taken', { text: choice.text, name: choice.takenName })}
      {#each choice.others as other (other.pulseId)}
        <button type="button" class="btn btn-sm btn-outline" onclick={() => line.mean(other.pulseId)}
          >{other.name}</button
        >
      {/each}
    </p>
  {/each}
  <p id="line-answer" class="text-sm" role="status">
    {#if line.problem}<span class="text-error">{line.problem.detail}</span>
    {:else if line.planned}
      {#if heard.length}<span class="sr-only">{say('line.heard', { read: heard.join(', ') })}</span>{/if}
      {#if missed.length}
        <span class="text-error mt-1 block">{say('line.missed', { words: missed.join(', ') })}</span>
      {/if}
    {/if}
  </p>
</form>
