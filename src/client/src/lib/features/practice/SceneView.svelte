<script lang="ts">
  import { overBed } from '../../format/amounts';
  import { sceneChoice, sceneStory, sceneTitle } from '../../format/practice';
  import { core, feltWord } from '../../format/words';
  import { say } from '../../messages/say';
  import type { PracticeTry, Sense } from '../../state/practice.svelte';
  import BeanMark from '../../ui/BeanMark.svelte';
  import { seedOf } from '../../ui/seeds';
  import Notice from '../../ui/Notice.svelte';
  import SceneInside from './SceneInside.svelte';
  import ScenePot from './ScenePot.svelte';

  type Props = { trying: PracticeTry; all: string; another: string; next: string };
  let { trying, all, another, next }: Props = $props();
  const scene = $derived(trying.scene);
  const pot = $derived(trying.pot.state === 'ready' ? trying.pot.value : null);
  const senses = $derived<{ id: Sense; name: string }[]>([
    { id: 'squeeze', name: say('practice.squeeze') },
    ...(pot?.rice ? [{ id: 'taste' as const, name: say('practice.taste') }] : []),
    { id: 'dip', name: say('practice.dip') },
  ]);
</script>

<p><a class="link" href={all}>{say('practice.all')}</a></p>
<h1 class="text-3xl" tabindex="-1">{sceneTitle(scene.id)}</h1>
<p class="mt-1 max-w-prose text-lg">{sceneStory(scene)}</p>
{#if trying.pot.state === 'failed'}
  <Notice title={trying.pot.problem.title} text={trying.pot.problem.detail} />
{:else if pot}
  <div class="mt-4 grid grid-cols-[minmax(0,1fr)] gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1.3fr)]">
    <section class="dish p-4 lg:self-start" aria-labelledby="pot-title">
      <h2 id="pot-title" class="flex flex-wrap items-baseline justify-between gap-2 text-xl">
        {pot.minutesSinceBoil === null
          ? say('practice.not_boiled')
          : say('practice.since_boil', { minutes: pot.minutesSinceBoil })}
        <span class="text-sm font-normal">{say('practice.pot_number', { pot: trying.number + 1 })}</span>
      </h2>
      <div class="mt-2">
        <ScenePot pot={{ ...pot, boils: pot.celsius >= 97 }} seed={seedOf('pulse', scene.pulseId)} />
      </div>
      <p class="mt-2 text-sm">{say('practice.before')}</p>
      <div class="mt-1 flex flex-wrap gap-2">
        {#each senses as sense (sense.id)}
          <button
            class="btn min-h-12"
            aria-pressed={trying.sensed.includes(sense.id)}
            onclick={() => trying.sense(sense.id)}>{sense.name}</button
          >
        {/each}
      </div>
      <ul class="mt-3 space-y-1 text-lg" aria-live="polite">
        {#if trying.sensed.includes('squeeze')}
          <li class="flex items-center gap-2">
            <BeanMark core={core[pot.pulses] ?? 0} size={30} seed={seedOf('pulse', scene.pulseId)} />
            {say('practice.felt', { name: scene.pulseName, felt: feltWord('pulse', pot.pulses) })}
          </li>
        {/if}
        {#if pot.rice && trying.sensed.includes('taste')}
          <li class="flex items-center gap-2">
            <BeanMark core={core[pot.rice] ?? 0} size={30} seed={seedOf('rice', '')} />
            {say('practice.felt', { name: scene.riceName ?? '', felt: feltWord('rice', pot.rice) })}
          </li>
        {/if}
        {#if trying.sensed.includes('dip')}<li>
            {say('glance.over_bed', { level: overBed(pot.overBedCentimetres) })}
          </li>{/if}
      </ul>
    </section>
    {#if trying.inside}
      <SceneInside {scene} inside={trying.inside} {another} {next} />
    {:else}
      <section class="dish p-4 lg:self-start" aria-labelledby="decide-title" aria-busy={trying.deciding}>
        <h2 id="decide-title" class="text-xl">{say('practice.decide')}</h2>
        <div class="mt-3 flex flex-col gap-3">
          {#each scene.choices as choice (choice)}
            <button
              class="btn btn-outline h-auto min-h-14 justify-start px-4 py-2 text-left text-lg whitespace-normal"
              onclick={() => void trying.decide(choice)}>{sceneChoice(scene.id, choice)}</button
            >
          {/each}
        </div>
        <p class="text-error mt-2 empty:hidden" role="alert">{trying.said}</p>
      </section>
    {/if}
  </div>
{/if}
