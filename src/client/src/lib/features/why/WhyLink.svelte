<script lang="ts">
  import type { Reason } from '../../api/client';
  import { say } from '../../messages/say';

  type Props = { reason: Reason['id'] | null };
  let { reason }: Props = $props();
</script>

<!-- To the reason behind what stands beside it. -->
{#if reason}
  <a
    class="link no-print text-sm font-normal opacity-85"
    href="/why#{reason}"
    aria-label={say('why.link_of', { question: say(`why.reason.${reason}.title`) })}>{say('why.link')}</a
  >
{/if}
