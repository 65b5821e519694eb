<script lang="ts">
  import { clock } from '../../format/time';
  import { say } from '../../messages/say';
  import { nextOf, type OtherPots } from '../../state/stove/others.svelte';

  type Props = { others: OtherPots };
  let { others }: Props = $props();
</script>

<!-- What else is on the stove, and what it wants next: one press away. -->
{#each others.pots as pot (pot.id)}
  {#if pot.state}
    {@const next = nextOf(pot.state)}
    {@const due = !!next && Date.parse(next.at) <= pot.clock.now}
    <a
      class="dish mt-2 flex min-h-14 flex-wrap items-center gap-x-4 px-4 py-2 text-lg {due
        ? 'border-secondary!'
        : ''}"
      href="/stove/{pot.id}"
      data-other={pot.id}
    >
      <strong>{pot.state.title}</strong>
      {#if next}
        {#if due}<strong class="text-secondary">{say('stove.other_now')}</strong>{/if}
        <span class="min-w-0">
          {due
            ? next.what
            : say('stove.other_next', { what: next.what, time: clock(next.at, pot.state.zone) })}
        </span>
      {/if}
    </a>
  {/if}
{/each}
