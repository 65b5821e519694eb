<script lang="ts">
  import { api, type StoveAnswer, type StoveState } from '../../api/client';
  import { Offers } from '../../state/stove/offers.svelte';
  import type { AtStove } from '../../state/stove/stove.svelte';
  import AnswerList from './AnswerList.svelte';
  import { say } from '../../messages/say';

  type Props = { stove: AtStove; id: string; evening: StoveState; locked: boolean };
  let { stove, id, evening, locked }: Props = $props();
  const offers = new Offers();
  const answers = $derived(offers.of(evening.version));
  const ask = () =>
    void offers.ask(
      () => evening.version,
      () => api.lookInside(id),
    );
  function choose(answer: StoveAnswer) {
    stove.tell({ kind: 'chose', what: answer.code, state: 'look' });
    offers.drop();
  }
</script>

<!-- Under a locked lid nobody sees: what a look costs, before it is taken. -->
<div class="mt-3" aria-busy={offers.asking}>
  <button class="btn stove-btn btn-ghost" onclick={answers ? () => offers.drop() : ask}>
    {answers ? say('inspect.leave') : locked ? say('inspect.cost') : say('inspect.soft')}
  </button>
  {#if offers.said}<p class="text-error text-lg" role="alert">{offers.said}</p>{/if}
  {#if answers && answers.length === 0}
    <p class="text-lg">{say('inspect.nothing')}</p>
  {:else if answers}
    <AnswerList {answers} {evening} onchoose={choose} />
  {/if}
</div>
