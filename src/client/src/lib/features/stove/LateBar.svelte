<script lang="ts">
  import { api, type StoveAnswer, type StoveState } from '../../api/client';
  import { clock } from '../../format/time';
  import type { Stove } from '../../state/stove/stove.svelte';
  import AnswerList from './AnswerList.svelte';

  type Props = { stove: Stove; evening: StoveState };
  let { stove, evening }: Props = $props();
  let offered = $state.raw<{ version: number; answers: StoveAnswer[] } | null>(null);
  /** An offer holds for the state that it was made for. */
  const answers = $derived(offered?.version === evening.version ? offered.answers : null);
  let said = $state('');
  let asking = $state(false);

  async function ask() {
    asking = true;
    const { version } = evening;
    const answer = await api.late(stove.id);
    asking = false;
    said = answer.ok ? '' : answer.problem.detail;
    offered = answer.ok ? { version, answers: answer.value } : null;
  }
  function choose(answer: StoveAnswer) {
    if (answer.code !== 'later') stove.tell({ kind: 'chose', what: answer.code });
    offered = null;
  }
</script>

<section class="dish border-secondary! mt-4 p-4" aria-busy={asking}>
  <div class="flex flex-wrap items-center justify-between gap-3">
    <p class="text-2xl">
      {evening.lateMinutes} minutes late: wanted at {clock(evening.wantedAt, evening.zone)}
    </p>
    <button class="btn stove-btn" onclick={answers ? () => (offered = null) : ask}
      >{answers ? 'Leave it' : 'What can be done?'}</button
    >
  </div>
  {#if said}<p class="text-error text-lg" role="alert">{said}</p>{/if}
  {#if answers}<AnswerList {answers} {evening} onchoose={choose} />{/if}
</section>
