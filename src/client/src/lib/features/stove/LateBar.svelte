<script lang="ts">
  import { api, type StoveAnswer, type StoveState } from '../../api/client';
  import { clock } from '../../format/time';
  import { Offers } from '../../state/stove/offers.svelte';
  import type { Stove } from '../../state/stove/stove.svelte';
  import AnswerList from './AnswerList.svelte';
  import { say } from '../../messages/say';

  type Props = { stove: Stove; evening: StoveState };
  let { stove, evening }: Props = $props();
  const offers = new Offers();
  const answers = $derived(offers.of(evening.version));
  const ask = () =>
    void offers.ask(
      () => evening.version,
      () => api.late(stove.id),
    );
  function choose(answer: StoveAnswer) {
    if (answer.code !== 'later') stove.tell({ kind: 'chose', what: answer.code });
    offers.drop();
  }
</script>

<section class="dish border-secondary! mt-4 p-4" aria-busy={offers.asking}>
  <div class="flex flex-wrap items-center justify-between gap-3">
    <p class="text-2xl">
      {say('late.title', { minutes: evening.lateMinutes, time: clock(evening.wantedAt, evening.zone) })}
    </p>
    <button class="btn stove-btn" onclick={answers ? () => offers.drop() : ask}
      >{answers ? say('inspect.leave') : say('late.ask')}</button
    >
  </div>
  {#if offers.said}<p class="text-error text-lg" role="alert">{offers.said}</p>{/if}
  {#if answers}<AnswerList {answers} {evening} onchoose={choose} />{/if}
</section>
