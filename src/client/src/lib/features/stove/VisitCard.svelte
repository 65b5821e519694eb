<script lang="ts">
  import { within } from '../../messages/figures';
  import type { StoveState, StoveVisit, Trouble } from '../../api/client';
  import { visitWords } from '../../format/stove';
  import { say } from '../../messages/say';
  import SignPicture from './SignPicture.svelte';
  import type { AtStove } from '../../state/stove/stove.svelte';

  type Props = { stove: AtStove; visit: StoveVisit; evening: StoveState; ontrouble: (id: Trouble) => void };
  let { stove, visit, evening, ontrouble }: Props = $props();
  const over = (centimetres: number) => {
    stove.tell({ kind: 'over_bed', centimetres, vesselId: visit.vesselId });
    if (centimetres < 0) ontrouble('hard_dry');
  };
  function fine() {
    const inside =
      visit.code === 'chilli' ? evening.inside.find((i) => i.ingredient === visit.ingredient) : undefined;
    if (inside)
      stove.tell({ kind: 'came_out', ingredient: inside.ingredient, count: inside.pieces - inside.out });
    else if (visit.code === 'second_half')
      stove.tell({ kind: 'went_in', ingredient: visit.ingredient, grams: visit.grams });
    else stove.tell({ kind: 'checked', what: visit.code, vesselId: visit.vesselId });
  }
  const words = $derived(visitWords(visit.code));

  /** What was missing, now in: a gram of water is a millilitre in the jug, near enough. */
  const pour = () =>
    stove.tell({ kind: 'water', millilitres: visit.grams ?? 0, celsius: 100, vesselId: visit.vesselId });

  function stuck(scorched: boolean) {
    stove.tell({ kind: 'sticks', what: scorched ? 'scorched' : 'a_little', vesselId: visit.vesselId });
    ontrouble(scorched ? 'scorched' : 'sticking');
  }
</script>

{#if words}
  <section class="dish border-warning! mt-4 p-4" aria-label={words.ask}>
    <p class="text-2xl font-semibold">
      {say('visit.title', {
        vessel: visit.vesselName,
        ask: words.ask,
        what: visit.name
          ? say('visit.rest', { name: within(visit.name), grams: visit.grams })
          : visit.grams
            ? say('visit.amount', { grams: visit.grams })
            : null,
      })}
    </p>
    <div class="flex items-center gap-3">
      {#if visit.code === 'boil_over'}<SignPicture what="foam" />{/if}
      <p class="text-lg">{words.hint}</p>
    </div>
    <div class="mt-3 flex flex-wrap gap-3">
      <button class="btn btn-primary stove-btn" onclick={fine}>{words.fine}</button>
      {#if visit.code === 'still_lit'}
        <button class="btn stove-btn" onclick={() => ontrouble('flame_out')}>{say('visit.is_out')}</button>
      {:else if visit.code === 'silent'}
        <button class="btn stove-btn" onclick={() => ontrouble('silent')}>{say('visit.still_silent')}</button>
      {:else if visit.code === 'too_little'}
        <button class="btn stove-btn" onclick={pour}>{say('visit.pour')}</button>
      {:else if visit.code === 'dry'}
        <button class="btn stove-btn" onclick={() => ontrouble('hard_dry')}>{say('visit.is_dry')}</button>
      {:else if visit.code === 'boil_over'}
        <button class="btn stove-btn" onclick={() => ontrouble('boiled_over')}
          >{say('visit.boiled_over')}</button
        >
      {:else if visit.code === 'level'}
        <button class="btn stove-btn" onclick={() => over(0.3)}>{say('visit.just_covers')}</button>
        <button class="btn stove-btn" onclick={() => over(-0.7)}>{say('visit.stand_out')}</button>
      {:else if visit.code === 'sticking'}
        <button class="btn stove-btn" onclick={() => stuck(false)}>{say('visit.a_little')}</button>
        <button class="btn stove-btn" onclick={() => stuck(true)}>{say('visit.scorched')}</button>
      {/if}
    </div>
  </section>
{/if}
