<script lang="ts">
  import { api, type PracticeScene } from '../lib/api/client';
  import DinnerList from '../lib/features/practice/DinnerList.svelte';
  import SceneList from '../lib/features/practice/SceneList.svelte';
  import SceneView from '../lib/features/practice/SceneView.svelte';
  import { sceneTitle } from '../lib/format/practice';
  import { say } from '../lib/messages/say';
  import type { Load } from '../lib/state/load';
  import { PracticeTry } from '../lib/state/practice.svelte';
  import Notice from '../lib/ui/Notice.svelte';
  import { p, route } from '../router';

  let scenes = $state.raw<Load<PracticeScene[]>>({ state: 'loading' });
  void api.scenes().then((answer) => {
    scenes = answer.ok
      ? { state: 'ready', value: answer.value }
      : { state: 'failed', problem: answer.problem };
  });
  const params = $derived(route.params as { scene?: string; pot?: string });
  const all = $derived(scenes.state === 'ready' ? scenes.value : []);
  const at = $derived(all.findIndex((s) => s.id === params.scene));
  const number = $derived(Number(params.pot));
  const trying = $derived(at >= 0 && Number.isInteger(number) ? new PracticeTry(all[at]!, number) : null);
  /** Any pot of it but this one. */
  const potOf = (scene: PracticeScene) =>
    p('/practice/:scene/:pot', {
      params: { scene: scene.id, pot: String(Math.floor(Math.random() * scene.pots)) },
    });
</script>

<svelte:head>
  <title>{say('page.title', { view: trying ? sceneTitle(trying.scene.id) : say('practice.title') })}</title>
</svelte:head>
{#if scenes.state === 'failed'}
  <Notice title={scenes.problem.title} text={scenes.problem.detail} />
{:else if trying}
  {#key trying}
    <SceneView
      {trying}
      all={p('/practice')}
      another={potOf(trying.scene)}
      next={potOf(all[(at + 1) % all.length]!)}
    />
  {/key}
{:else if scenes.state === 'ready'}
  <SceneList scenes={all} href={potOf} />
  <DinnerList address={p('/practice/dinner')} />
{/if}
