<script lang="ts">
  import type { Kitchen } from '../../api/client';
  import type { Alternative, Problem } from '../../api/problem';
  import { offerWords } from '../../format/ways';
  import Notice from '../../ui/Notice.svelte';
  import { say } from '../../messages/say';

  type Props = { problem: Problem; kitchen: Kitchen; ontake: (offer: Alternative) => void };
  let { problem, kitchen, ontake }: Props = $props();
</script>

<Notice title={problem.title} text={problem.detail}>
  {#if problem.alternatives?.length}
    <p class="mt-4 font-semibold">{say('refused.works')}</p>
    <div class="mt-2 flex flex-wrap gap-3">
      {#each problem.alternatives as offer, i (i)}
        <button
          class="btn {i === 0 ? 'btn-primary' : 'btn-outline btn-primary'}"
          onclick={() => ontake(offer)}>{offerWords(offer, kitchen.nowLocal.slice(0, 10))}</button
        >
      {/each}
    </div>
  {/if}
</Notice>
