<script lang="ts">
  import type { Difference } from '../../api/client';
  import { differenceLine } from '../../format/differences';
  import { say } from '../../messages/say';

  type Props = { differences: Difference[]; none: string };
  let { differences, none }: Props = $props();
</script>

<!-- What gets worse carries a sign and a word for screen readers, not a colour alone. -->
{#if differences.length === 0}
  {none}
{:else}
  {#each differences as d, i (d.code)}
    <span class:text-error={d.worse} class:font-semibold={d.worse}
      >{#if d.worse}<span aria-hidden="true">▾ </span><span class="sr-only"
          >{say('differences.worse')}
        </span>{/if}{differenceLine(d)}</span
    >{i < differences.length - 1 ? ' · ' : ''}
  {/each}
{/if}
