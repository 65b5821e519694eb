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
    aria-label={say('reason.link_of', { question: say(`reason.${reason}.title`) })}><span>?</span></a
  >
{/if}

<style>
  /* Larger for a finger than for the eye; it never reaches over the end of its line. */
  .why {
    display: inline-grid;
    place-items: center;
    width: 3rem;
    height: 3rem;
    margin: -0.75rem 0 -0.75rem -0.75rem;
    vertical-align: 0.1em;
    opacity: 0.75;
  }
  span {
    display: grid;
    place-items: center;
    width: 1.5rem;
    height: 1.5rem;
    border: 1.5px solid currentColor;
    border-radius: 50%;
    font-size: 0.85rem;
    font-weight: 600;
    line-height: 1;
  }
  .why:hover,
  .why:focus-visible {
    opacity: 1;
  }
</style>
