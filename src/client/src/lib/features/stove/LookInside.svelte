<script lang="ts">
  import { api, type StoveAnswer, type StoveState } from '../../api/client';
  import type { Stove } from '../../state/stove/stove.svelte';
  import AnswerList from './AnswerList.svelte';

  type Props = { stove: Stove; evening: StoveState; locked: boolean };
  let { stove, evening, locked }: Props = $props();
  let offered = $state.raw<{ version: number; answers: StoveAnswer[] } | null>(null);
  /** An offer holds for the state that it was made for. */
  const answers = $derived(offered?.version === evening.version ? offered.answers : null);
  let said = $state('');
  let asking = $state(false);

  async function ask() {
    asking = true;
    const { version } = evening;
    const answer = await api.lookInside(stove.id);
    asking = false;
    said = answer.ok ? '' : answer.problem.detail;
    offered = answer.ok ? { version, answers: answer.value } : null;
  }
  function choose(answer: StoveAnswer) {
    stove.tell({ kind: 'chose', what: answer.code, state: 'look' });
    offered = null;
  }
</script>

<!-- Under a locked lid nobody sees: what a look costs, before it is taken. -->
<div class="mt-3" aria-busy={asking}>
  <button class="btn stove-btn btn-ghost" onclick={answers ? () => (offered = null) : ask}>
    {answers ? 'Leave it' : locked ? 'Look inside: what does it cost?' : 'Are they soft already?'}
  </button>
  {#if said}<p class="text-error text-lg" role="alert">{said}</p>{/if}
  {#if answers && answers.length === 0}
    <p class="text-lg">Nothing to be had: the lid comes off by itself soon, or no pulse is under it.</p>
  {:else if answers}
    <AnswerList {answers} {evening} onchoose={choose} />
  {/if}
</div>
