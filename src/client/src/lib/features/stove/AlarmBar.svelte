<script lang="ts">
  import { Bell, BellOff, MessageSquareText } from '@lucide/svelte';
  import Menu from '../../ui/Menu.svelte';
  import type { Alarms } from '../../state/stove/alarms.svelte';
  import { say } from '../../messages/say';

  type Props = { alarms: Alarms };
  let { alarms }: Props = $props();
  let allowed = $state(false);
  async function allow() {
    await alarms.allow();
    allowed = true;
  }
</script>

<!-- What rings, and how. -->
<div class="flex flex-wrap items-center gap-2">
  {#if !allowed}
    <button class="btn btn-primary stove-btn" onclick={allow}><Bell size={22} /> {say('alarm.ring')}</button>
  {:else}
    <span class="text-sm">{alarms.awake ? say('alarm.awake') : say('alarm.asleep')}</span>
  {/if}
  <Menu class="stove-btn btn-ghost">
    {#snippet name()}{say('alarm.how')}{/snippet}
    <div class="flex flex-col">
      <button
        class="btn stove-btn btn-ghost"
        aria-pressed={alarms.wishes.quiet}
        onclick={() => alarms.set({ quiet: !alarms.wishes.quiet })}
      >
        {#if alarms.wishes.quiet}<BellOff size={22} /> {say('alarm.light')}{:else}<Bell size={22} />
          {say('alarm.sound')}{/if}
      </button>
      <button
        class="btn stove-btn btn-ghost"
        aria-pressed={alarms.wishes.speech}
        onclick={() => alarms.set({ speech: !alarms.wishes.speech })}
      >
        <MessageSquareText size={22} />
        {alarms.wishes.speech ? say('alarm.spoken') : say('alarm.not_spoken')}
      </button>
      <p class="px-3 py-1 text-sm">{say('alarm.locked')}</p>
    </div>
  </Menu>
</div>
