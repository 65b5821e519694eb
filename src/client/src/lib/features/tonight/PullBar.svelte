<script lang="ts">
  import { RotateCcw } from '@lucide/svelte';
  import { localOf } from '../../format/time';
  import type { Pulling } from '../../state/pull.svelte';
  import type { Tonight } from '../../state/tonight.svelte';
  import DifferenceList from './DifferenceList.svelte';
  import { say } from '../../messages/say';

  type Props = { tonight: Tonight; pulling: Pulling; zone: string; onback: () => void };
  let { tonight, pulling, zone, onback }: Props = $props();

  const kept = $derived(JSON.stringify(tonight.dish.pull ?? null));
  const mine = $derived(JSON.stringify({ ...pulling.by, table: 0 }));

  /** The pulled table becomes the hour that was asked for; the other pulls stay with the dish. */
  function keep() {
    const { answer, by } = pulling;
    if (!answer) return;
    const rest = { ...by, table: 0 };
    void tonight.change({
      serveAtLocal: by.table ? localOf(answer.serveAt, zone) : tonight.dish.serveAtLocal,
      pull: Object.values(rest).some(Boolean) ? rest : null,
    });
  }
</script>

{#if pulling.active}
  <div class="bg-base-200 mx-2 mt-1 rounded-xl px-3 py-2" role="status">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <p class="min-w-0 flex-1 basis-60 text-[0.95rem]">
        {#if pulling.problem}<span class="text-error">{pulling.problem.detail}</span>
        {:else if pulling.answer?.obstacle}<span class="text-error font-semibold"
            >{pulling.answer.obstacle}</span
          >
        {:else if pulling.answer}
          <DifferenceList differences={pulling.answer.differences} none={say('pull.nothing_worse')} />
        {:else}…{/if}
      </p>
      <button class="btn btn-sm btn-outline btn-primary" onclick={onback}>
        <RotateCcw size={16} />
        {say('pull.back')}
      </button>
      {#if kept !== mine && !pulling.answer?.obstacle}
        <button class="btn btn-sm btn-primary" disabled={!pulling.answer} onclick={keep}
          >{say('pull.keep')}</button
        >
      {/if}
    </div>
  </div>
{/if}
