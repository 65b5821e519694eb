<script lang="ts">
  import { api, type Effect } from '../lib/api/client';
  import type { Load } from '../lib/state/load';
  import Notice from '../lib/ui/Notice.svelte';

  let effects = $state<Load<Effect[]>>({ state: 'loading' });
  $effect(() => {
    void api.effects().then((answer) => {
      effects = answer.ok
        ? { state: 'ready', value: answer.value }
        : { state: 'failed', problem: answer.problem };
    });
  });
  const sure: Record<string, string> = { A: 'sure', B: 'good', C: 'rough', D: 'a guess' };
  const reasons = [
    {
      title: 'Why look, when there is a clock?',
      text: 'One bag of a bean takes 0.6 to 1.8 times as long as another of the same name. No clock knows your bag; a squeeze does. That is why each plan shows two chances: with the looks, and by the clock alone.',
    },
    {
      title: 'Why light so early?',
      text: 'Tender beans wait off the heat without harm; cooked rice does not. So the slack is put before the rice: nine bags in ten are ready when it goes in.',
    },
    {
      title: 'Why measure the liquid before the rice?',
      text: 'It decides the rice, and a third of a litre of it hides between the beans where no ruler sees it. Tip it into a jug once.',
    },
    {
      title: 'Why stir the rice once, or not at all?',
      text: 'One stir spreads it, so that no grain lies dry; after that each stir breaks grains and thickens the liquid. Laid on top and left, long grains stay whole and the top ones firmer. Cooks do both; My pots keeps your way. The evidence is rough, and the forecast sees no difference.',
    },
    {
      title: 'Why drain and chill in the morning?',
      text: 'Beans in water at room temperature turn after about twelve hours, sooner in a warm kitchen. Drained and cold they keep until you cook.',
    },
    {
      title: 'Why boil some beans hard?',
      text: 'Kidney beans and their relatives carry a lectin that soaking and gentle heat leave alone. Ten minutes at a full boil in fresh water, after a soak, destroy it.',
    },
  ];
</script>

<svelte:head><title>Why · Bright Kettle</title></svelte:head>
<h1 class="text-3xl">Why</h1>
<div class="mt-3 grid gap-4 md:grid-cols-2 xl:grid-cols-3">
  {#each reasons as reason (reason.title)}
    <section class="dish p-4">
      <h2 class="text-xl">{reason.title}</h2>
      <p class="mt-1">{reason.text}</p>
    </section>
  {/each}
</div>
<section class="dish mt-5 p-4">
  <h2 class="text-xl">The figures behind the pot</h2>
  <p class="mt-1 max-w-prose">
    Each with its range and how sure it is. Where a figure is weak, plans show a wider span.
  </p>
  {#if effects.state === 'failed'}
    <Notice title={effects.problem.title} text={effects.problem.detail} />
  {:else if effects.state === 'ready'}
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="overflow-x-auto" role="region" aria-label="Figures" tabindex="0">
      <table class="table-sm mt-2 table">
        <thead
          ><tr
            ><th>What it is</th><th class="text-right">Low</th><th class="text-right">Typical</th><th
              class="text-right">High</th
            ><th>Unit</th><th>How sure</th></tr
          ></thead
        >
        <tbody>
          {#each effects.value as e (e.id)}
            <tr>
              <td><span class="font-semibold">{e.id.replaceAll('_', ' ')}</span><br />{e.basis}</td>
              <td class="text-right tabular-nums">{e.low}</td>
              <td class="text-right tabular-nums">{e.typical}</td>
              <td class="text-right tabular-nums">{e.high}</td>
              <td>{e.unit}</td>
              <td>{sure[e.confidence]}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
  {/if}
</section>
