<script lang="ts">
  import type { Kitchen, Plan } from '../../api/client';
  import type { Tonight } from '../../state/tonight.svelte';
  import Waterline from '../waterline/Waterline.svelte';
  import { Pulling, type PullKind } from '../../state/pull.svelte';
  import Cautions from './Cautions.svelte';
  import HandsLanes from './HandsLanes.svelte';
  import HouseWay from './HouseWay.svelte';
  import MeasureOut from './MeasureOut.svelte';
  import PrintSheet from './PrintSheet.svelte';
  import PullBar from './PullBar.svelte';
  import SlipBar from './SlipBar.svelte';
  import StepList from './StepList.svelte';

  type Props = { tonight: Tonight; plan: Plan; kitchen: Kitchen };
  let { tonight, plan, kitchen }: Props = $props();

  const today = $derived(kitchen.nowLocal.slice(0, 10));

  const pulling = new Pulling();
  // A new plan is pulled afresh, from what its dish carries.
  $effect(() => {
    void plan;
    pulling.begin(tonight.dish.pull);
  });
  const pull = (kind: PullKind, minutes: number, quick: boolean) =>
    pulling.set(tonight.asked, kind, minutes, quick);

  function back() {
    if (tonight.dish.pull) void tonight.change({ pull: null });
    else pulling.begin(null);
  }

  $effect(() => tonight.setAmounts(plan.measureOut.pulseGrams, plan.measureOut.riceGrams ?? 0));
</script>

<article class="no-print">
  <div class="dish px-1 pt-2 pb-2 sm:px-3">
    <Waterline {plan} zone={kitchen.zone} {pulling} onpull={pull} />
    <PullBar {tonight} {pulling} zone={kitchen.zone} onback={back} />
  </div>
  <div class="mt-4 grid gap-4 xl:grid-cols-[minmax(0,1.55fr)_minmax(0,1fr)]">
    <StepList {plan} zone={kitchen.zone} {today} />
    <MeasureOut {plan} dish={tonight.dish} />
  </div>
  <HandsLanes {plan} zone={kitchen.zone} />
  <SlipBar {tonight} {plan} {kitchen} />
  <div class="mt-4 grid gap-4 xl:grid-cols-[minmax(0,1.55fr)_minmax(0,1fr)]">
    <HouseWay {tonight} {plan} zone={kitchen.zone} />
    <Cautions cautions={plan.forecast.cautions} />
  </div>
</article>
<PrintSheet {plan} dish={tonight.dish} {kitchen} />
