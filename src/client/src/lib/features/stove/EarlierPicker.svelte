<script lang="ts">
  import FigureField from '../../ui/FigureField.svelte';
  import { say } from '../../messages/say';
  type Props = {
    onpick: (minutes: number) => void;
    /** Just now is offered too. */
    now?: boolean;
  };
  let { onpick, now = false }: Props = $props();
  let own = $state<number | null>(null);
</script>

<!-- A late entry with its own minute. -->
<div class="mt-4" role="group" aria-label={say('ago.group')}>
  <p class="text-lg font-semibold">{say('ago.title')}</p>
  <div class="mt-2 flex flex-wrap gap-2">
    {#each now ? [0, 1, 2, 4, 6, 10, 15] : [1, 2, 4, 6, 10, 15] as minutes (minutes)}
      <button class="btn stove-btn min-w-16" onclick={() => onpick(minutes)}>{minutes}</button>
    {/each}
    <label class="flex items-center gap-2 text-lg">
      {say('ago.or')}
      <FigureField
        width="w-24"
        inputmode="numeric"
        min="0"
        max="5000"
        label={say('ago.label')}
        bind:value={own}
      />
      <button
        class="btn stove-btn"
        disabled={own === null || own < 0}
        onclick={() => own !== null && onpick(own)}
      >
        {say('ago.button')}
      </button>
    </label>
  </div>
</div>
