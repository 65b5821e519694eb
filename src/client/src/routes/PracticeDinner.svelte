<script lang="ts">
  import DinnerView from '../lib/features/practice/DinnerView.svelte';
  import { say } from '../lib/messages/say';
  import { anew, PracticeDinner, underWay } from '../lib/state/practiceDinner.svelte';
  import Notice from '../lib/ui/Notice.svelte';
  import { p } from '../router';

  let dinner = $state.raw<PracticeDinner | null>(null);
  function open() {
    const kept = underWay();
    dinner = kept && new PracticeDinner(kept);
    void dinner?.open();
  }
  open();
  function again() {
    anew();
    open();
  }
</script>

<svelte:head>
  <title>{say('page.title', { view: dinner?.state?.title ?? say('practice.dinners') })}</title>
</svelte:head>
{#if !dinner}
  <Notice title={say('practice.dinners')} text={say('practice.dinners.intro')}>
    <a class="btn btn-primary mt-4" href={p('/practice')}>{say('practice.all')}</a>
  </Notice>
{:else if dinner.state}
  <DinnerView {dinner} evening={dinner.state} all={p('/practice')} {again} />
{:else if dinner.problem}
  <Notice title={dinner.problem.title} text={dinner.problem.detail}>
    <a class="btn btn-primary mt-4" href={p('/practice')}>{say('practice.all')}</a>
  </Notice>
{:else}
  <p class="p-8 text-lg" aria-busy="true">{say('stove.looking')}</p>
{/if}
