<script lang="ts">
  import { api, type Effect } from '../../api/client';
  import { say } from '../../messages/say';
  import type { Load } from '../../state/load';
  import Notice from '../../ui/Notice.svelte';

  let effects = $state<Load<Effect[]>>({ state: 'loading' });
  let open = $state(false);
  $effect(() => {
    if (!open || effects.state === 'ready') return;
    void api.effects().then((answer) => {
      effects = answer.ok
        ? { state: 'ready', value: answer.value }
        : { state: 'failed', problem: answer.problem };
    });
  });
</script>

<details class="dish mt-6 p-4" bind:open>
  <summary class="cursor-pointer text-lg font-semibold">{say('why.table')}</summary>
  <p class="mt-1 max-w-prose">{say('why.table.note')}</p>
  {#if effects.state === 'failed'}
    <Notice title={effects.problem.title} text={effects.problem.detail} />
  {:else if effects.state === 'ready'}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="overflow-x-auto" role="region" aria-label={say('why.table')} tabindex="0">
      <table class="table-sm mt-2 table">
        <thead>
          <tr>
            <th>{say('why.col.what')}</th>
            <th class="text-right">{say('why.col.low')}</th>
            <th class="text-right">{say('why.col.typical')}</th>
            <th class="text-right">{say('why.col.high')}</th>
            <th>{say('why.col.unit')}</th>
            <th>{say('why.col.sure')}</th>
          </tr>
        </thead>
        <tbody>
          {#each effects.value as e (e.id)}
            <tr>
              <td><span class="font-semibold">{e.id.replaceAll('_', ' ')}</span><br />{e.basis}</td>
              <td class="text-right tabular-nums">{e.low}</td>
              <td class="text-right tabular-nums">{e.typical}</td>
              <td class="text-right tabular-nums">{e.high}</td>
              <td>{e.unit}</td>
              <td>{say('why.sure', { strength: e.confidence })}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {/if}
</details>
