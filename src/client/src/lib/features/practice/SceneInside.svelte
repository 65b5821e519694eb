<script lang="ts">
  import type { PracticeEnding, PracticeInside, PracticeScene } from '../../api/client';
  import { millilitres } from '../../format/amounts';
  import { sceneChoice, sceneWhy } from '../../format/practice';
  import { core, feltWord } from '../../format/words';
  import { say } from '../../messages/say';
  import BeanMark from '../../ui/BeanMark.svelte';
  import { seedOf } from '../../ui/seeds';
  import SceneLines from './SceneLines.svelte';

  type Props = { scene: PracticeScene; inside: PracticeInside; another: string; next: string };
  let { scene, inside, another, next }: Props = $props();
  const mine = $derived(inside.endings.find((e) => e.choice === inside.chosen)!);
  const best = $derived(inside.endings.find((e) => e.choice === inside.best)!);
  const verdict = $derived(
    mine.forbidden
      ? say('practice.forbidden')
      : mine.choice === best.choice
        ? say('practice.right', { points: mine.points })
        : best.points - mine.points <= 8
          ? say('practice.near', { points: mine.points, best: best.points })
          : say('practice.off', { points: mine.points, best: best.points }),
  );
  const table = (e: PracticeEnding) =>
    e.spoiltBy === 'scorched'
      ? say('practice.scorched')
      : say('practice.ending', {
          pulses: feltWord('pulse', e.pulses),
          rice: e.rice === null ? null : feltWord('rice', e.rice),
        });
  const lost = (e: PracticeEnding) =>
    e.forbidden
      ? ''
      : [
          e.lostTexture ? say('practice.lost.texture', { points: e.lostTexture }) : '',
          e.lostLiquid ? say('practice.lost.liquid', { points: e.lostLiquid }) : '',
          e.lostTime ? say('practice.lost.time', { points: e.lostTime }) : '',
        ]
          .filter(Boolean)
          .join(', ');
  /** What was decided is read at once, where the eye and the hand are. */
  const focus = (node: HTMLElement) => node.focus();
</script>

<section class="dish p-4 lg:self-start" aria-labelledby="inside-title">
  <h2
    id="inside-title"
    tabindex="-1"
    class="text-2xl {mine.forbidden ? 'text-error' : ''} focus:outline-none"
    {@attach focus}
  >
    {verdict}
  </h2>
  {#if mine.forbidden}<p class="text-error mt-1 text-lg font-semibold">
      {say(`caution.${mine.forbidden}.text` as 'caution.lectin.not_boiled.text')}
    </p>{/if}
  <p class="mt-1 text-lg">{sceneWhy(scene.id, best.choice)}</p>
  <ul class="mt-3 flex flex-col gap-2" aria-label={say('practice.answers')}>
    {#each inside.endings as e (e.choice)}
      <li
        class="border-base-300 rounded-lg border-2 px-3 py-2 {e.choice === inside.chosen
          ? 'border-secondary bg-base-200'
          : ''}"
      >
        <p class="flex flex-wrap items-center justify-between gap-2 font-semibold">
          <span>{sceneChoice(scene.id, e.choice)}</span>
          <span class="flex flex-wrap items-center gap-2">
            {#if e.choice === inside.best}<span class="badge badge-primary">{say('practice.best')}</span>{/if}
            {#if e.choice === inside.chosen}<span class="badge badge-secondary">{say('practice.yours')}</span
              >{/if}
            <span class="display text-xl">{e.points}</span><span class="sr-only"
              >{say('practice.points')}</span
            >
          </span>
        </p>
        <p class="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1">
          <span class="flex items-center gap-2"
            ><BeanMark core={core[e.pulses] ?? 0} size={26} seed={seedOf('pulse', scene.pulseId)} />{table(
              e,
            )}</span
          >
          <span>{say('practice.liquid_left', { amount: millilitres(e.liquidMillilitres) })}</span>
          <span>{say('practice.minutes', { minutes: e.minutes })}</span>
          {#if lost(e)}<span class="text-sm">{say('practice.lost', { what: lost(e) })}</span>{/if}
        </p>
      </li>
    {/each}
  </ul>
  <SceneLines
    moment={inside.moment}
    mine={mine.line}
    best={mine.choice === best.choice ? [] : best.line}
    label={say('practice.lines', { yours: sceneChoice(scene.id, mine.choice) })}
    band={[inside.wantedLow, inside.wantedHigh]}
    other={say('practice.best')}
  />
  <div class="mt-4 flex flex-wrap gap-3">
    <a class="btn btn-primary min-h-12" href={another}>{say('practice.another')}</a>
    <a class="btn min-h-12" href={next}>{say('practice.next')}</a>
  </div>
</section>
