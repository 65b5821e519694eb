<script lang="ts">
  import type { Reason } from '../../api/client';
  import { say } from '../../messages/say';

  type Props = { reason: Reason['id'] | null };
  let { reason }: Props = $props();
</script>

<!-- To the reason behind what stands beside it. -->
{#if reason}
  <a
    class="no-print why"
    href="/why#{reason}"
    aria-label={say('why.link_of', { question: say(`why.reason.${reason}.title`) })}>?</a
  >
{/if}

<style>
  .why {
    display: inline-grid;
    place-items: center;
    width: 1.5rem;
    height: 1.5rem;
    border: 1.5px solid currentColor;
    border-radius: 50%;
    font-size: 0.85rem;
    font-weight: 600;
    line-height: 1;
    vertical-align: 0.1em;
    opacity: 0.75;
  }
  .why:hover,
  .why:focus-visible {
    opacity: 1;
  }
</style>
