<script lang="ts">
  import { Bell, BellOff, MessageSquareText } from '@lucide/svelte';
  import type { Alarms } from '../../state/stove/alarms.svelte';

  type Props = { alarms: Alarms };
  let { alarms }: Props = $props();
  let allowed = $state(false);

  /** A tap elsewhere closes it: what rings lies under it. */
  function leave(event: FocusEvent) {
    const menu = event.currentTarget as HTMLDetailsElement;
    if (!menu.contains(event.relatedTarget as Node | null)) menu.open = false;
  }
  async function allow() {
    await alarms.allow();
    allowed = true;
  }
</script>

<!-- What rings, and how. -->
<div class="flex flex-wrap items-center gap-2">
  {#if !allowed}
    <button class="btn btn-primary stove-btn" onclick={allow}><Bell size={22} /> Let it ring</button>
  {:else}
    <span class="text-sm">{alarms.awake ? 'Screen stays awake' : 'Screen may sleep'}</span>
  {/if}
  <details class="dropdown dropdown-end" onfocusout={leave}>
    <summary class="btn stove-btn btn-ghost">How it rings</summary>
    <div class="dropdown-content dish bg-base-100 z-20 flex w-64 flex-col p-2 shadow-lg">
      <button
        class="btn stove-btn btn-ghost"
        aria-pressed={alarms.wishes.quiet}
        onclick={() => alarms.set({ quiet: !alarms.wishes.quiet })}
      >
        {#if alarms.wishes.quiet}<BellOff size={22} /> Light only{:else}<Bell size={22} /> Sound and light{/if}
      </button>
      <button
        class="btn stove-btn btn-ghost"
        aria-pressed={alarms.wishes.speech}
        onclick={() => alarms.set({ speech: !alarms.wishes.speech })}
      >
        <MessageSquareText size={22} />
        {alarms.wishes.speech ? 'Spoken' : 'Not spoken'}
      </button>
      <p class="px-3 py-1 text-sm">A phone that is locked or asleep cannot ring: keep its screen on.</p>
    </div>
  </details>
</div>
