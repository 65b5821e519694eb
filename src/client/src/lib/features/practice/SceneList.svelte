<script lang="ts">
  import type { PracticeScene } from '../../api/client';
  import { sceneStory, sceneTitle } from '../../format/practice';
  import { say } from '../../messages/say';
  import { tries } from '../../state/practice.svelte';

  type Props = { scenes: PracticeScene[]; href: (scene: PracticeScene) => string };
  let { scenes, href }: Props = $props();
</script>

<h1 class="text-3xl">{say('practice.title')}</h1>
<p class="mt-1 max-w-prose text-lg">{say('practice.intro')}</p>
<ul class="mt-4 grid gap-4 md:grid-cols-2 xl:grid-cols-3">
  {#each scenes as scene (scene.id)}
    {@const tried = tries.of(scene.id)}
    <li class="dish relative flex flex-col p-4">
      <h2 class="text-xl">
        <a class="underline-offset-4 after:absolute after:inset-0 hover:underline" href={href(scene)}
          >{sceneTitle(scene.id)}</a
        >
      </h2>
      <p class="mt-1 grow">{sceneStory(scene)}</p>
      <p class="mt-2 text-sm font-semibold">
        {tried ? say('practice.tried', { pots: tried.pots, points: tried.average }) : say('practice.untried')}
      </p>
    </li>
  {/each}
</ul>
